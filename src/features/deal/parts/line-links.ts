import { createContext, type KeyboardEvent, useContext } from "react";
import { FOCUSABLE } from "@/features/focus/focusable";

/** Whether what is drawn stands beside a figure that is typed: Tab passes it, and F2 leads to it. */
export const BesideFigure = createContext(false);

/** What a link or a choice of a line says of its place in the order of Tab. */
export const useLinkOrder = (): { tabIndex?: -1 } => (useContext(BesideFigure) ? { tabIndex: -1 } : {});

/** The key that leads from a figure to the links and choices of its line, and back. */
const LINKS_KEY = "F2";

const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1 };

/** From a line's figure to its links. */
export function goToLinks(event: KeyboardEvent, linksId: string): void {
  if (event.key !== LINKS_KEY) return;
  const [first] = linksOf(linksId);
  if (!first) return;
  event.preventDefault();
  first.focus();
}

/** From one link of a line to the next, and back to its figure. */
export function goAmongLinks(event: KeyboardEvent, linksId: string, fieldId: string): void {
  const links = linksOf(linksId);
  const step = STEPS[event.key];
  const isBack = event.key === LINKS_KEY || event.key === "Escape";
  const next = isBack
    ? document.getElementById(fieldId)
    : step && links[links.indexOf(event.target as HTMLElement) + step];
  if (!next || (step && event.target instanceof HTMLSelectElement)) return;
  event.preventDefault();
  next.focus();
}

const linksOf = (linksId: string): HTMLElement[] => [
  ...(document.getElementById(linksId)?.querySelectorAll<HTMLElement>(FOCUSABLE) ?? []),
];
