// Serves the built app, on this machine alone unless KELLUX_HOST says otherwise.
import { spawn } from "node:child_process";

export function serve(env = {}) {
  const host = process.env.KELLUX_HOST || "127.0.0.1";
  const port = process.env.PORT || "4310";
  const server = spawn(
    process.execPath,
    ["node_modules/next/dist/bin/next", "start", "-H", host, "-p", port],
    {
      stdio: "inherit",
      // The app itself closes its database when it is told to stop.
      env: {
        ...process.env,
        NEXT_TELEMETRY_DISABLED: "1",
        NEXT_MANUAL_SIG_HANDLE: "true",
        KELLUX_SERVING: "1",
        ...env,
      },
    },
  );
  for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => server.kill(signal));
  server.on("exit", code => process.exit(code ?? 0));
}
