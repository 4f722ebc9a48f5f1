// A thread that makes figures, so that the one that serves everyone never computes a deal.
import { setPriority } from "node:os";
import { parentPort } from "node:worker_threads";
import type { DealFile } from "@/exchange/deal-file";
import { figuresOf } from "./figures-of";

const LOW_PRIORITY = 10;

// Linux has a priority for each thread: where there are few cores, whoever waits for an answer comes first.
if (process.platform === "linux") setPriority(LOW_PRIORITY);

parentPort?.on("message", (inputs: DealFile) => parentPort?.postMessage(figuresOf(inputs)));
