import { useSyncExternalStore } from "react";

let isOpen = false;
const heard = new Set<() => void>();

/** Whether the dealer's side is open: while it is not, nothing of it is asked for. */
export const sideIsOpen = () => isOpen;

let isShut = false;

/** Keeps it closed for whoever may not see it: the server tells them nothing of it anyway. */
export function shutSide(): void {
  isShut = true;
}

export const sideIsShut = () => isShut;

/** Tells all that show something of it. */
export function setSide(next: boolean): void {
  isOpen = next;
  for (const hear of heard) hear();
}

function onSide(hear: () => void): () => void {
  heard.add(hear);
  return () => heard.delete(hear);
}

/** Whether the dealer's side is open, for what is drawn by it. */
export const useSide = () => useSyncExternalStore(onSide, sideIsOpen, () => false);

/** When it closes, for the page that comes next; it opens with none. */
export const SIDE_UNTIL = "kellux.side";
