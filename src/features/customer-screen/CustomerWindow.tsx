"use client";

import { useEffect, useState } from "react";
import {
  CUSTOMER_CHANNEL,
  type CustomerHello,
  type CustomerMessage,
} from "@/exchange/customer-screen/message";
import { CustomerScreen } from "./CustomerScreen";
import { afterMessage, afterSilence, type Heard } from "./heard";

const LOOK_MS = 200;

/** The customer's window: what the officer has put on it, followed live; nothing where nobody speaks, and nothing is kept. */
export function CustomerWindow({ house }: { house: string }) {
  const [heard, setHeard] = useState<Heard>(null);
  useEffect(() => {
    const channel = new BroadcastChannel(CUSTOMER_CHANNEL);
    const ask = () => channel.postMessage({ kind: "hello" } satisfies CustomerHello);
    let now: Heard = null;
    const put = (next: Heard) => {
      if (next !== now) setHeard(next);
      now = next;
    };
    channel.onmessage = ({ data }: MessageEvent<CustomerMessage | CustomerHello>) => {
      if (data.kind === "hello") return;
      // Who was silent for too long speaks again.
      if (data.kind === "beat" && now === null) ask();
      put(afterMessage(now, data, performance.now()));
    };
    const timer = setInterval(() => put(afterSilence(now, performance.now())), LOOK_MS);
    ask();
    return () => {
      clearInterval(timer);
      channel.close();
    };
  }, []);
  return heard ? (
    <main>
      <CustomerScreen content={heard.content} asOf={heard.asOf} />
    </main>
  ) : (
    <main className="grid min-h-dvh place-items-center bg-base-100 p-8" data-testid="customer-blank">
      <p className="font-semibold font-serif text-4xl text-primary">{house}</p>
    </main>
  );
}
