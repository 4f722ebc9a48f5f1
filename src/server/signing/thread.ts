// A thread that makes the quotes of deals that are signed, so that the one that serves everyone computes none.
import { parentPort } from "node:worker_threads";
import { frozenQuote } from "@/exchange/answers/frozen-quote";
import type { DealOption } from "@/exchange/deal-document";

parentPort?.on("message", (options: DealOption[]) =>
  parentPort?.postMessage(options.map(({ id, inputs }) => frozenQuote(id, inputs))),
);
