import { type ComponentType, type LazyExoticComponent, lazy } from "react";
import type { KindName } from "@/core";
import type { AnswerProps } from "../answer/answer-props";
import type { LoadedKind } from "../option/loading";

/** What is drawn of a kind: its structure, its plan, its answer, and what is signed. */
type Drawn = {
  Structure: ComponentType;
  Plan: ComponentType;
  Answer: ComponentType<AnswerProps>;
  Signed: ComponentType;
};

/** Every kind on the desk, each loaded in one piece with what is drawn of it: the one list of them. */
export const DESKS: { [Name in KindName]: () => Promise<LoadedKind & Drawn> } = {
  loan: () => import("./loan/LoanDesk"),
  lease: () => import("./lease/LeaseDesk"),
};

type Lazily = { [Part in keyof Drawn]: LazyExoticComponent<Drawn[Part]> };

const drawn = new Map<KindName, Lazily>();

/** What is drawn of a kind, loaded when it is first drawn. */
export function drawnOf(name: KindName): Lazily {
  const known = drawn.get(name);
  if (known) return known;
  const part = <Part extends keyof Drawn>(of: Part) =>
    lazy(() => DESKS[name]().then((desk): { default: Drawn[Part] } => ({ default: desk[of] })));
  const parts = {
    Structure: part("Structure"),
    Plan: part("Plan"),
    Answer: part("Answer"),
    Signed: part("Signed"),
  };
  drawn.set(name, parts);
  return parts;
}
