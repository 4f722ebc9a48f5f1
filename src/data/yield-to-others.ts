import { setPriority } from "node:os";

const LOWEST_PRIORITY = 19;

/** Has this thread come after all others where there are few cores; Linux alone has a priority for each thread. */
export function yieldToOthers(): void {
  if (process.platform === "linux") setPriority(LOWEST_PRIORITY);
}
