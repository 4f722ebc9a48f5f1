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
    channel.onmessage = ({ data }: MessageEvent<CustomerMessage | CustomerHello>) => {
      if (data.kind !== "hello") setHeard(now => afterMessage(now, data, performance.now()));
    };
    const timer = setInterval(() => setHeard(now => afterSilence(now, performance.now())), LOOK_MS);
    channel.postMessage({ kind: "hello" } satisfies CustomerHello);
    return () => {
      clearInterval(timer);
      channel.close();
    };
  }, []);
  return heard ? (
    <CustomerScreen content={heard.content} asOf={heard.asOf} />
  ) : (
    <main className="grid min-h-dvh place-items-center bg-base-100 p-8" data-testid="customer-blank">
      <p className="font-semibold font-serif text-4xl text-primary">{house}</p>
    </main>
  );
}
