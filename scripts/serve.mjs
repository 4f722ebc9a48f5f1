// Serves the built app, on this machine alone unless KELLUX_HOST says otherwise.
import { bundled } from "./bundled.mjs";

export async function serve(env = {}) {
  Object.assign(process.env, {
    NODE_ENV: "production",
    NEXT_TELEMETRY_DISABLED: "1",
    KELLUX_SERVING: "1",
    ...env,
  });
  const origin = process.env.KELLUX_ORIGIN;
  if (origin && !(URL.canParse(origin) && /^https?:$/.test(new URL(origin).protocol))) {
    console.error(`KELLUX_ORIGIN is ${origin}; it must be an address such as https://deals.example.test.`);
    process.exit(1);
  }
  const { serveApp } = await import(bundled("scripts/serve/server.ts"));
  await serveApp(process.env.KELLUX_HOST || "127.0.0.1", Number(process.env.PORT || 4310));
}
