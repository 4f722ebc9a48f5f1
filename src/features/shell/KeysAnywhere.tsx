"use client";

import { useEffect, useState } from "react";
import { SIDE_UNTIL } from "@/features/dealer-side/side-state";
import { useKeys } from "@/features/focus/use-keys";

/** What was asked for by a key; nothing by a page that goes on with what another has opened. */
export type KeyAsked = { key?: string };

type Asked = KeyAsked & { opened: typeof import("./KeysOpened") };

/** The keys of every page: `Ctrl .` for the dealer's side, and `Ctrl /` for the sheet of keys. */
export function KeysAnywhere() {
  const [asked, setAsked] = useState<Asked>();
  // Asked for now and then: a page starts without the code for it, and does without where the server is away.
  const ask = (key?: string) =>
    void import("./KeysOpened").then(
      opened => setAsked({ opened, ...(key && { key }) }),
      () => {},
    );
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, as the page begins
  useEffect(() => {
    if (sessionStorage.getItem(SIDE_UNTIL)) ask();
  }, []);
  useKeys(event => {
    const { key } = event;
    if ((key !== "." && key !== "/") || !(event.ctrlKey || event.metaKey) || event.altKey) return;
    event.preventDefault();
    ask(key);
  });
  return asked && <asked.opened.KeysOpened asked={asked} />;
}
