// Random tests draw the same cases each time, so that a failure can be looked at; KELLUX_SEED draws others.
import fc from "fast-check";

fc.configureGlobal({ seed: Number(process.env.KELLUX_SEED ?? 20_261_125) });
