// npm run quote: bundles the program that prices deal files, and runs it.
import { bundled } from "./bundled.mjs";

await import(bundled("scripts/quote/quote.ts"));
