// A thread that makes figures, so that the one that serves everyone never computes a deal.
import { setPriority } from "node:os";
import { parentPort } from "node:worker_threads";
import { figuresOf } from "./figures-of";

const LOWEST_PRIORITY = 19;

// Linux has a priority for each thread: where there are few cores, whoever waits for an answer comes first.
if (process.platform === "linux") setPriority(LOWEST_PRIORITY);

parentPort?.on("message", (inputs: string) => parentPort?.postMessage(figuresOf(JSON.parse(inputs))));
