import { type ComponentType, createContext, type Dispatch, useContext } from "react";
import type { WantedFigure } from "@/core/moves";
import type { DealDocument, DealHeading } from "@/exchange/deal-document";
import type { Settings } from "@/exchange/settings";
import type { OptionState } from "../option";
import type { DeskAction, DeskState } from "./desk-state";
import type { MovesProps } from "./moves-props";
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
  /** What would have to move for it: drawn under its field, and told from outside, as it asks every kind of deal. */
  Moves: ComponentType<MovesProps>;
};

export const DeskContext = createContext<Desk | null>(null);

export function useDesk(): Desk {
  return there(useContext(DeskContext));
}

/** What of the desk stays as it is while figures are typed: what needs no more is not drawn again with every key. */
export type Frame = Omit<Desk, "state"> & {
  heading: DealHeading;
  /** How many options there are. */
  count: number;
  /** What the open option is. */
  kind: OptionState["kind"];
  /** The desk as it is at this moment. */
  now: () => DeskState;
};

export const FrameContext = createContext<Frame | null>(null);

export function useFrame(): Frame {
  return there(useContext(FrameContext));
}

function there<Value>(value: Value | null): Value {
  if (value === null) throw new Error("There is no DealDesk around it.");
  return value;
}
