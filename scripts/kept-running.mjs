// Keeps the app running: after an end that nobody asked for it is started again.
import { spawn } from "node:child_process";

/** The app ends with this where its database answers no more; what is on the disk is read again by the next. */
const DATABASE_STOPPED = 70;
/** More ends than this in so short a time have a cause that another start does not mend. */
const MOST_STARTS = 5;
const WITHIN_MS = 10 * 60_000;
const PAUSE_MS = 1000;

/** Serves the app in a process of its own, and ends as that ends. */
export function keepRunning(env = {}) {
  const ends = [];
  let isStopping = false;
  let app;
  for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"]) {
    process.on(signal, () => {
      isStopping = true;
      app?.kill(signal);
    });
  }
  const start = () => {
    app = spawn(process.execPath, ["scripts/serving.mjs"], {
      env: { ...process.env, ...env },
      // The channel tells it where this process is gone.
      stdio: ["inherit", "inherit", "inherit", "ipc"],
    });
    app.once("exit", (code, signal) => {
      const isMeant = isStopping || (code !== DATABASE_STOPPED && signal === null);
      if (isMeant) process.exit(code ?? 1);
      const now = Date.now();
      ends.push(now);
      if (ends.filter(end => now - end < WITHIN_MS).length > MOST_STARTS) {
        console.error(
          `Kellux has ended ${MOST_STARTS + 1} times within ten minutes and is not started again.`,
        );
        process.exit(code ?? 1);
      }
      console.error(`Kellux has ended (${signal ?? `code ${code}`}) and is started again.`);
      setTimeout(() => (isStopping ? process.exit(0) : start()), PAUSE_MS);
    });
  };
  start();
}
