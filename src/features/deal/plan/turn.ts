import type { Dispatch } from "react";
import type { OptionAction, OptionState } from "../option";
import { keepFocus } from "../parts/keep-focus";
import { KIND_ID } from "./kinds";

/** Turns the deal into one of the other kind; the choice of kinds, which is drawn anew, keeps the focus. */
export function turn(act: Dispatch<OptionAction>, kind: OptionState["kind"]): void {
  act({ type: "kind", kind });
  keepFocus(KIND_ID);
}
