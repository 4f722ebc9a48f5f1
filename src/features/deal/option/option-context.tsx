import { createContext, type Dispatch, type ReactNode, useContext, useMemo } from "react";
import type { KindName } from "@/core";
import { inNotation, type Notation } from "@/exchange/notation";
import type { OptionAction } from "./option-actions";
import { notationIn, type OptionState } from "./option-state";

/** An option on the screen, and what is done with it. */
export type OpenOption<State = OptionState> = {
  option: State;
  act: Dispatch<OptionAction>;
  /** Whether nothing of it can be changed, because the deal is signed. */
  isFrozen?: boolean;
};

const OptionContext = createContext<OpenOption | null>(null);
// Each key gives another option: what stays as it is has a place of its own, so that few parts are drawn again.
const FrozenContext = createContext(false);
const NotationContext = createContext<Notation | null>(null);

/** The option that the fields and figures within are of. */
export function OptionProvider({ value, children }: { value: OpenOption; children: ReactNode }) {
  return (
    <OptionContext value={value}>
      <FrozenContext value={value.isFrozen ?? false}>
        <NotationContext value={notationIn(value.option)}>{children}</NotationContext>
      </FrozenContext>
    </OptionContext>
  );
}

/** The option that fields and figures are of. */
export function useOption(): OpenOption {
  return there(useContext(OptionContext));
}

function there<Value>(value: Value | null): Value {
  if (value === null) throw new Error("There is no OptionProvider around it.");
  return value;
}

/** Whether nothing of the option can be changed; where there is none, it can. */
export const useIsFrozen = (): boolean => useContext(FrozenContext);

/** The option, which is of a kind. */
export function useOptionOf<Kind extends KindName>(
  kind: Kind,
): OpenOption<Extract<OptionState, { kind: Kind }>> {
  const { option, act } = useOption();
  if (option.kind !== kind) throw new Error(`This is drawn of a ${kind} alone.`);
  return { option: option as Extract<OptionState, { kind: Kind }>, act };
}

/** How its figures are written, and how a text of the core is said with them. */
export function useNotation(): { notation: Notation; say: (text: string) => string } {
  const notation = there(useContext(NotationContext));
  return useMemo(() => ({ notation, say: text => inNotation(text, notation) }), [notation]);
}
