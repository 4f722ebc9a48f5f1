import { useEffect, useRef } from "react";
import type { CustomerContent } from "@/exchange/customer-screen/content";
import {
  CUSTOMER_CHANNEL,
  type CustomerHello,
  type CustomerMessage,
} from "@/exchange/customer-screen/message";
import { startBeat } from "@/workers/beat-client";

type Unsent<Message> = Message extends CustomerMessage ? Omit<Message, "deal" | "number" | "at"> : never;

/**
 * Sends what stands on the customer's screen to their window: what is shown once something of it changed, and a beat each
 * second between, until the deal is left.
 *
 * @param content what is shown; null before there is anything
 * @param asOf when it was frozen; null while it follows
 * @param takenAt when the officer put this deal on the window, in milliseconds; null before that, and then nothing is sent
 */
export function useSender(
  dealId: string,
  content: CustomerContent | null,
  asOf: string | null,
  takenAt: number | null,
): void {
  const send = useRef<(message: Unsent<CustomerMessage>) => void>(null);
  const last = useRef({ content, asOf, takenAt });
  last.current = { content, asOf, takenAt };
  const isTaken = takenAt !== null;
  useEffect(() => {
    if (!isTaken) return;
    const channel = new BroadcastChannel(CUSTOMER_CHANNEL);
    let number = 0;
    const post = (message: Unsent<CustomerMessage>) => {
      number += 1;
      channel.postMessage({ ...message, deal: dealId, number, at: Date.now() } as CustomerMessage);
    };
    const show = () => {
      const { content: shown, asOf: since, takenAt: taken } = last.current;
      if (shown && taken !== null) post({ kind: "shown", content: shown, asOf: since, takenAt: taken });
    };
    channel.onmessage = ({ data }: MessageEvent<CustomerMessage | CustomerHello>) => {
      if (data.kind === "hello") show();
    };
    const stopBeat = startBeat(() => post({ kind: "beat" }));
    const leave = () => post({ kind: "left" });
    send.current = post;
    window.addEventListener("pagehide", leave);
    window.addEventListener("pageshow", show);
    return () => {
      window.removeEventListener("pagehide", leave);
      window.removeEventListener("pageshow", show);
      send.current = null;
      stopBeat();
      leave();
      channel.close();
    };
  }, [dealId, isTaken]);
  useEffect(() => {
    if (content && takenAt !== null) send.current?.({ kind: "shown", content, asOf, takenAt });
  }, [content, asOf, takenAt]);
}
