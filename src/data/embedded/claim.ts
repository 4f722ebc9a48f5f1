import { readFileSync, readlinkSync } from "node:fs";
import { hostname, uptime } from "node:os";

/** Who holds a data folder: a process, and where that process runs. */
export type Claim = {
  pid: number;
  /** When the process started, in the system's own measure; empty where it does not tell. */
  started: string;
  host: string;
  /** Which start of the machine it is; a time in seconds where the machine does not tell. */
  boot: string;
  /** Among which processes the number counts: a container has numbers of its own. */
  namespace: string;
  /** Where its server answers, for a backup while it runs. */
  address?: string;
  /** What that backup is asked with: whoever reads this file reads the folder. */
  key?: string;
};

/** The claim of this process. */
export function ownClaim(): Claim {
  const { KELLUX_ADDRESS: address, KELLUX_KEY: key } = process.env;
  return {
    pid: process.pid,
    started: startOf(process.pid),
    host: hostname(),
    boot: thisBoot(),
    namespace: thisNamespace(),
    ...(address && { address }),
    ...(key && { key }),
  };
}

/** What can be said of the process of a claim from here. */
type Holder = "alive" | "gone" | "elsewhere";

/** Whether the process of a claim still runs; "elsewhere" where that cannot be seen from here. */
export function holderOf(claim: Partial<Claim>): Holder {
  // A claim from before claims said where their process runs is of this machine.
  const { pid = 0, started = "", host = hostname(), boot = thisBoot(), namespace = thisNamespace() } = claim;
  if (host !== hostname()) return "elsewhere";
  // Whatever ran before the machine was started anew runs no more.
  if (!isSameBoot(boot, thisBoot())) return "gone";
  if (namespace !== thisNamespace()) return "elsewhere";
  return isAlive(pid, started) ? "alive" : "gone";
}

/** Alive means the same process, not a later one that was given the same number. */
function isAlive(pid: number, started: string): boolean {
  try {
    process.kill(pid, 0);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === "ESRCH") return false;
  }
  return startOf(pid) === started;
}

const STATE = 0;
const START_TIME = 19;

/**
 * When a process started, where the system tells; the same text for every process where it does not. A
 * process that ended and was not yet cleared away by its parent never started.
 */
function startOf(pid: number): string {
  const fields = fileText(`/proc/${pid}/stat`).split(") ").at(-1)?.split(" ") ?? [];
  return fields[STATE] === "Z" ? "ended" : (fields[START_TIME] ?? "");
}

const thisBoot = (): string =>
  fileText("/proc/sys/kernel/random/boot_id").trim() || String(Math.round(Date.now() / 1000 - uptime()));

/** Times of a start are reckoned back from now, and clocks are set. */
const SECONDS_APART = 120;

const isSameBoot = (one: string, other: string): boolean =>
  one === other || Math.abs(Number(one) - Number(other)) < SECONDS_APART;

function thisNamespace(): string {
  try {
    return readlinkSync("/proc/self/ns/pid");
  } catch {
    return "";
  }
}

function fileText(path: string): string {
  try {
    return readFileSync(path, "utf8");
  } catch {
    return "";
  }
}
