// A thread that makes figures, so that the one that serves everyone never computes a deal.
import { parentPort } from "node:worker_threads";
import { yieldToOthers } from "../threads/yield-to-others";
import { figuresOf } from "./figures-of";

yieldToOthers();
parentPort?.on("message", (inputs: string) => parentPort?.postMessage(figuresOf(JSON.parse(inputs))));
