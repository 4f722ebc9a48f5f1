import { createContext, type Dispatch, useContext } from "react";
import type { WantedFigure } from "@/core/moves";
import type { DealDocument } from "@/exchange/deal-document";
import type { Settings } from "@/exchange/settings";
import type { DeskAction, DeskState } from "./desk-state";
import type { View } from "./views";

/** The deal on the screen and the ways to change it. */
export type Desk = {
  state: DeskState;
  dispatch: Dispatch<DeskAction>;
  /**
   * Changes the deal otherwise than by its figures: once what its options need is loaded.
   *
   * @param open the option that is open then
   */
  edit: (change: (document: DealDocument) => DealDocument, open?: string) => void;
  /** What the house has settled for its deals. */
  house: Settings;
  /** What stands beside the structure, or in its place. */
  view: View;
  show: (view: View) => void;
  /** Which figure of the answer the customer wants to be another. */
  wished: WantedFigure;
  wish: (figure: WantedFigure) => void;
  /** What was said that it should be, to be typed for the officer; nothing once that is done. */
  wishSaid: string | null;
  sayWish: (text: string | null) => void;
};

export const DeskContext = createContext<Desk | null>(null);

export function useDesk(): Desk {
  const desk = useContext(DeskContext);
  if (!desk) throw new Error("useDesk needs a DealDesk around it.");
  return desk;
}
