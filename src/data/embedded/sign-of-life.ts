import { readFileSync, readlinkSync } from "node:fs";

/** What a thread leaves where others see it without asking: how many steps it has begun, and as which task of the system it runs. */
export type Trace = Int32Array<SharedArrayBuffer>;

const [STEPS, TASK] = [0, 1];

export const newTrace = (): Trace => new Int32Array(new SharedArrayBuffer(2 * Int32Array.BYTES_PER_ELEMENT));

/** Begins the trace of the thread that calls it; what is given back is called at each step. */
export function leaveTrace(trace: Trace): () => void {
  trace[TASK] = ownTask();
  return () => void Atomics.add(trace, STEPS, 1);
}

/** Without a step or a word, a thread hangs that has worked for so long, or has neither worked nor been heard of. Milliseconds. */
export type Hanging = { working: number; silent: number };

/**
 * Looks at a thread until it takes a step or is heard of; of one that is only slow nothing is told. What tells them apart is
 * the time that the thread has had to work, not the clock alone: on a busy machine it has little.
 *
 * @param hangs is told where it hangs
 * @returns ends the looking, as when the thread is heard of
 */
export function watchForHanging(trace: Trace, { working, silent }: Hanging, hangs: () => void): () => void {
  let [steps, worked, since] = [0, 0, 0];
  const begin = () => {
    [steps, worked, since] = [Atomics.load(trace, STEPS), workedMs(trace), performance.now()];
  };
  begin();
  const timer = setInterval(() => {
    if (Atomics.load(trace, STEPS) !== steps) return begin();
    if (workedMs(trace) - worked < working && performance.now() - since < silent) return;
    clearInterval(timer);
    hangs();
  }, Math.min(working, LOOKS_APART_MS) / 2);
  return () => clearInterval(timer);
}

const LOOKS_APART_MS = 1000;

/** How many steps it has begun: what waits for it goes on waiting while there are more. */
export const stepsOf = (trace: Trace): number => Atomics.load(trace, STEPS);

function ownTask(): number {
  try {
    return Number(readlinkSync("/proc/thread-self").split("/").at(-1));
  } catch {
    // Linux alone tells it.
    return 0;
  }
}

const TICK_MS = 10;
const [USER, SYSTEM] = [11, 12];

/** For how long the thread has worked; where the system does not tell of threads, all of this process. */
function workedMs(trace: Trace): number {
  try {
    const fields =
      readFileSync(`/proc/self/task/${trace[TASK]}/stat`, "utf8").split(") ").at(-1)?.split(" ") ?? [];
    return TICK_MS * (Number(fields[USER]) + Number(fields[SYSTEM]));
  } catch {
    const { user, system } = process.cpuUsage();
    return (user + system) / 1000;
  }
}
