import { createContext, type Dispatch, useContext } from "react";
import type { OptionAction, OptionState } from "../option";
import type { DeskAction, DeskState } from "./desk-state";

/** The deal on the screen and the ways to change it. */
export type Desk = {
  state: DeskState;
  dispatch: Dispatch<DeskAction>;
  /** The option that is open, and what is done with it. */
  option: OptionState;
  act: Dispatch<OptionAction>;
};

export const DeskContext = createContext<Desk | null>(null);

export function useDesk(): Desk {
  const desk = useContext(DeskContext);
  if (!desk) throw new Error("useDesk needs a DealDesk around it.");
  return desk;
}
