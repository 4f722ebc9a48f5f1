import type { CustomerContent } from "./content";

/** Where the desk and the customer's window meet; within one browser alone. */
export const CUSTOMER_CHANNEL = "kellux-customer";

/** What every message to the customer's window has: whose deal, which of its messages, and when, in milliseconds. */
type Sent = { deal: string; number: number; at: number };

/**
 * A message to the customer's window: what it shows, `asOf` when where that is frozen, and when the officer has put this deal
 * on it; that nothing changed; that the deal is left.
 */
export type CustomerMessage =
  | (Sent & { kind: "shown"; content: CustomerContent; asOf: string | null; takenAt: number })
  | (Sent & { kind: "beat" })
  | (Sent & { kind: "left" });

/** What the window asks for once it is there. */
export type CustomerHello = { kind: "hello" };

/** Without a message for so long, the window shows nothing of a deal any more. */
export const BLANK_AFTER_MS = 3000;
