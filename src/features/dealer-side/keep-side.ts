import { notify } from "@/features/notices/notify";
import { SIDE_UNTIL, setSide, sideIsOpen, sideIsShut } from "./side-state";

/** It closes so long after the last key. */
const REST_MS = 5 * 60_000;
const LOOK_MS = 1000;

let until = 0;
let timer: ReturnType<typeof setInterval> | undefined;
/** What is typed there and not saved yet keeps it open. */
const unsaved = new Set<() => boolean>();

/** Opens the dealer's side for the whole app, or closes it. */
export function toggleSide(): void {
  if (sideIsShut()) notify("The dealer’s side is not shown to your roles.");
  else if (sideIsOpen()) closeSide();
  else openSide(Date.now() + REST_MS);
}

/** Goes on with what an earlier page of the same window had open. A page that was loaded again begins with it closed. */
export function resumeSide(): void {
  const [navigation] = performance.getEntriesByType("navigation") as PerformanceNavigationTiming[];
  const kept = Number(sessionStorage.getItem(SIDE_UNTIL));
  if (!sideIsShut() && kept > Date.now() && navigation?.type !== "reload") openSide(kept);
  else closeSide();
}

function openSide(closes: number): void {
  put(closes);
  window.addEventListener("keydown", typed, true);
  clearInterval(timer);
  timer = setInterval(look, LOOK_MS);
  setSide(true);
}

export function closeSide(): void {
  clearInterval(timer);
  window.removeEventListener("keydown", typed, true);
  sessionStorage.removeItem(SIDE_UNTIL);
  setSide(false);
}

function put(closes: number): void {
  until = closes;
  sessionStorage.setItem(SIDE_UNTIL, String(closes));
}

const typed = () => put(Date.now() + REST_MS);

function look(): void {
  if (Date.now() >= until && ![...unsaved].some(isUnsaved => isUnsaved())) closeSide();
}

/** In how many minutes it closes, counted up. */
export const minutesLeft = (): number => Math.max(Math.ceil((until - Date.now()) / 60_000), 0);

/** Keeps it open while something is not saved. */
export function holdsSide(isUnsaved: () => boolean): () => void {
  unsaved.add(isUnsaved);
  return () => unsaved.delete(isUnsaved);
}
