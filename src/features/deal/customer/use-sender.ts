import { useEffect, useRef } from "react";
import type { CustomerContent } from "@/exchange/customer-screen/content";
import {
  CUSTOMER_CHANNEL,
  type CustomerHello,
  type CustomerMessage,
} from "@/exchange/customer-screen/message";
import { startBeat } from "@/workers/beat-client";

type ByKind<Message> = Message extends CustomerMessage ? Omit<Message, "deal" | "number" | "at"> : never;

/**
 * Sends what stands on the customer's screen to their window: what is shown once something of it changed, and a beat each
 * second between, until the deal is left.
 *
 * @param content what is shown; null before there is anything
 * @param asOf when it was frozen; null while it follows
 * @param taken how often the officer has put this deal on the screen
 */
export function useSender(
  dealId: string,
  content: CustomerContent | null,
  asOf: string | null,
  taken: number,
): void {
  const send = useRef<(message: ByKind<CustomerMessage>) => void>(() => {});
  const last = useRef({ content, asOf });
  last.current = { content, asOf };
  useEffect(() => {
    const channel = new BroadcastChannel(CUSTOMER_CHANNEL);
    let number = 0;
    send.current = message => {
      number += 1;
      channel.postMessage({ ...message, deal: dealId, number, at: Date.now() } as CustomerMessage);
    };
    const show = () => {
      const { content: shown, asOf: since } = last.current;
      if (shown) send.current({ kind: "shown", content: shown, asOf: since, isTaken: false });
    };
    channel.onmessage = ({ data }: MessageEvent<CustomerMessage | CustomerHello>) => {
      if (data.kind === "hello") show();
    };
    const stopBeat = startBeat(() => send.current({ kind: "beat" }));
    const leave = () => send.current({ kind: "left" });
    window.addEventListener("pagehide", leave);
    window.addEventListener("pageshow", show);
    return () => {
      window.removeEventListener("pagehide", leave);
      window.removeEventListener("pageshow", show);
      stopBeat();
      leave();
      channel.close();
    };
  }, [dealId]);
  const sentTaken = useRef(0);
  useEffect(() => {
    if (!content) return;
    send.current({ kind: "shown", content, asOf, isTaken: sentTaken.current !== taken });
    sentTaken.current = taken;
  }, [content, asOf, taken]);
}
