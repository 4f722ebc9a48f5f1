import type { CustomerContent } from "@/exchange/customer-screen/content";
import { BLANK_AFTER_MS, type CustomerMessage } from "@/exchange/customer-screen/message";

/** What the customer's window knows: the deal that is on it, the last message of it, and when that was heard. */
export type Heard = {
  deal: string;
  number: number;
  at: number;
  heardMs: number;
  takenAt: number;
  content: CustomerContent;
  asOf: string | null;
} | null;

/**
 * What the window knows after a message. Another deal takes its place only where the officer has put it there later; what
 * comes late is left out.
 *
 * @param now what it knew
 * @param nowMs when the message is heard
 */
export function afterMessage(now: Heard, message: CustomerMessage, nowMs: number): Heard {
  const { deal, number, at } = message;
  if (message.kind === "shown") {
    const { content, asOf, takenAt } = message;
    const isLate =
      now !== null && now.deal === deal && (at < now.at || (at === now.at && number <= now.number));
    const isOther = now !== null && now.deal !== deal && takenAt <= now.takenAt;
    return isLate || isOther ? now : { deal, number, at, heardMs: nowMs, takenAt, content, asOf };
  }
  if (now === null || now.deal !== deal) return now;
  return message.kind === "left" ? null : { ...now, number, at, heardMs: nowMs };
}

/** What it knows a while later: nothing, where nobody speaks any more. */
export const afterSilence = (now: Heard, nowMs: number): Heard =>
  now !== null && nowMs - now.heardMs > BLANK_AFTER_MS ? null : now;
