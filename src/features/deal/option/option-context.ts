import { createContext, type Dispatch, useContext } from "react";
import { inNotation, type Notation } from "@/exchange/notation";
import type { OptionAction } from "./option-actions";
import { type LeaseState, type LoanState, notationIn, type OptionState } from "./option-state";

/** An option on the screen, and what is done with it. */
export type OpenOption<State = OptionState> = {
  option: State;
  act: Dispatch<OptionAction>;
  /** Whether nothing of it can be changed, because the deal is signed. */
  isFrozen?: boolean;
};

export const OptionContext = createContext<OpenOption | null>(null);

/** The option that fields and figures are of. */
export function useOption(): OpenOption {
  const open = useContext(OptionContext);
  if (!open) throw new Error("useOption needs an OptionContext around it.");
  return open;
}

/** Whether nothing of the option can be changed. */
export const useIsFrozen = (): boolean => useOption().isFrozen ?? false;

/** The option, which is a loan. */
export function useLoan(): OpenOption<LoanState> {
  const { option, act } = useOption();
  if (option.kind !== "loan") throw new Error("useLoan needs a loan.");
  return { option, act };
}

/** The option, which is a lease. */
export function useLease(): OpenOption<LeaseState> {
  const { option, act } = useOption();
  if (option.kind !== "lease") throw new Error("useLease needs a lease.");
  return { option, act };
}

/** How its figures are written, and how a text of the core is said with them. */
export function useNotation(): { notation: Notation; say: (text: string) => string } {
  const notation = notationIn(useOption().option);
  return { notation, say: text => inNotation(text, notation) };
}
