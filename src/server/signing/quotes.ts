import type { MessagePort } from "node:worker_threads";
import type { DealOption } from "@/exchange/deal-document";
import { signQuote } from "@/exchange/signed-quote";

/** Answers the options of each deal with their quotes. */
export function answerWithQuotes(port: MessagePort | null): void {
  port?.on("message", (options: DealOption[]) =>
    port.postMessage(options.map(({ id, inputs }) => signQuote(id, inputs))),
  );
}
