// A thread that makes figures, so that the one that serves everyone never computes a deal.
import { parentPort } from "node:worker_threads";
import type { DealFile } from "@/exchange/deal-file";
import { figuresOf } from "./figures-of";

parentPort?.on("message", (inputs: DealFile) => parentPort?.postMessage(figuresOf(inputs)));
