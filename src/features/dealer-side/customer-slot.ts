import { useSyncExternalStore } from "react";

let slot: HTMLElement | null = null;
const heard = new Set<() => void>();

/** Says where a view wants what lenders ask of the customer; null once it is gone. */
export function putCustomerSlot(element: HTMLElement | null): void {
  slot = element;
  for (const hear of heard) hear();
}

function onSlot(hear: () => void): () => void {
  heard.add(hear);
  return () => heard.delete(hear);
}

/** That place: the dealer's side draws it there, because what is typed is saved with the rest of it. */
export const useCustomerSlot = (): HTMLElement | null =>
  useSyncExternalStore(
    onSlot,
    () => slot,
    () => null,
  );
