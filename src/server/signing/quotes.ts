import type { MessagePort } from "node:worker_threads";
import { frozenQuote } from "@/exchange/answers/frozen-quote";
import type { DealOption } from "@/exchange/deal-document";

/** Answers the options of each deal with their quotes. */
export function answerWithQuotes(port: MessagePort | null): void {
  port?.on("message", (options: DealOption[]) =>
    port.postMessage(options.map(({ id, inputs }) => frozenQuote(id, inputs))),
  );
}
