import {
  applyChange,
  type DealChange,
  type DealDocument,
  type DealHeading,
  headingOf,
} from "@/exchange/deal-document";
import { DEFAULT_LOCALE, type Locale } from "@/exchange/notation";
import { type OptionAction, type OptionState, openOption, optionReducer } from "../option";

/** An option of the deal, with its name and all that is on the screen of it. */
export type DeskOption = { id: string; name: string; state: OptionState };

/** A deal on the screen: its heading, its options, which is chosen and which is open. */
export type DeskState = {
  heading: DealHeading;
  options: DeskOption[];
  chosen: string;
  open: string;
  /** How figures are written in deals that do not say it themselves. */
  houseLocale: Locale;
};

export type DeskAction =
  | { type: "open"; document: DealDocument }
  /** What somebody else has changed in parts of the deal that were not being changed here. */
  | { type: "merged"; change: DealChange }
  | { type: "heading"; change: Partial<DealHeading> }
  | { type: "option"; action: OptionAction };

/** The desk as it opens on a deal. */
export function openDesk(document: DealDocument, houseLocale: Locale = DEFAULT_LOCALE): DeskState {
  return deskWith(document, houseLocale, document.chosen, () => undefined);
}

/** The desk after something was done on it. */
export function deskReducer(state: DeskState, action: DeskAction): DeskState {
  switch (action.type) {
    case "open":
      return openDesk(action.document, state.houseLocale);
    case "merged":
      return merged(state, action.change);
    case "heading":
      return { ...state, heading: { ...state.heading, ...action.change } };
    case "option":
      return {
        ...state,
        options: state.options.map(option =>
          option.id === state.open
            ? { ...option, state: optionReducer(option.state, action.action) }
            : option,
        ),
      };
  }
}

/** The deal as it is saved: what of the desk an officer can change. */
export function deskDocument({ heading, chosen, options }: DeskState): DealDocument {
  return {
    ...heading,
    chosen,
    options: options.map(({ id, name, state }) => ({ id, name, inputs: state.inputs })),
  };
}

/** The option that is open on the desk. */
export function openedOption({ options, open }: DeskState): OptionState {
  const option = options.find(({ id }) => id === open) ?? options[0];
  if (!option) throw new Error("A deal has at least one option.");
  return option.state;
}

/** Options that nobody else changed keep what is being typed in them. */
function merged(state: DeskState, change: DealChange): DeskState {
  const document = applyChange(deskDocument(state), change);
  const theirs = new Set(change.options?.map(({ id }) => id));
  return deskWith(document, state.houseLocale, state.open, id =>
    theirs.has(id) ? undefined : state.options.find(option => option.id === id)?.state,
  );
}

function deskWith(
  document: DealDocument,
  houseLocale: Locale,
  open: string,
  known: (id: string) => OptionState | undefined,
): DeskState {
  return {
    heading: headingOf(document),
    houseLocale,
    chosen: document.chosen,
    open: document.options.some(({ id }) => id === open) ? open : document.chosen,
    options: document.options.map(({ id, name, inputs }) => ({
      id,
      name,
      state: known(id) ?? openOption(inputs, houseLocale),
    })),
  };
}
