"use client";

import { type ReactNode, useSyncExternalStore } from "react";

const never = () => () => {};

/** Whether the page is alive: what the server sent is only a picture until then. */
export const useIsAlive = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );

/** Fields and buttons that take nothing before the page is alive: a key or a press would be lost without a word. */
export function WhenAlive({ children }: { children: ReactNode }) {
  return (
    <fieldset className="contents" disabled={!useIsAlive()}>
      {children}
    </fieldset>
  );
}
