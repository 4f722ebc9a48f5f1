import { kindNameOf } from "@/core";
import {
  type Asides,
  applyChange,
  asidesMember,
  type DealChange,
  type DealDocument,
  type DealHeading,
  headingOf,
  isSame,
} from "@/exchange/deal-document";
import type { DealFile } from "@/exchange/deal-file";
import { DEFAULT_LOCALE, type Locale } from "@/exchange/notation";
import {
  type DeskKinds,
  type Edit,
  hasErrors,
  type OptionAction,
  type OptionState,
  openOption,
  optionReducer,
  withInputs,
} from "../option";
import { NO_STEPS, type Step, type Steps, stepsAfter, stepsDone } from "./steps";

/** An option of the deal, with its name and all that is on the screen of it. */
export type DeskOption = { id: string; name: string; state: OptionState };

/** A deal on the screen: its heading, its options, which is chosen and which is open. */
export type DeskState = {
  heading: DealHeading;
  options: DeskOption[];
  /** What is tried or assumed and never agreed. */
  asides: Asides | undefined;
  chosen: string;
  open: string;
  /** How figures are written in deals that do not say it themselves. */
  houseLocale: Locale;
  /** The kinds that its options are of. */
  kinds: DeskKinds;
  /** What can be undone and done again. */
  steps: Steps;
  /** While a change is made in all options: what it makes of another one. Null while each is changed by itself. */
  spread: Spread | null;
  /** Then the others as they were before what is being typed in the open one. */
  spreadFrom: { edit: Edit; others: ReadonlyMap<string, DealFile> } | null;
};

/** Another option after the open one was changed from one state to another. */
type Spread = (before: DealFile, after: DealFile, other: DealFile) => DealFile;

/** Puts the changes of two in an option together; comes with what puts deals together. */
type MergeInputs = typeof import("@/exchange/deal-document/merge-figures").mergeInputs;

export type DeskAction =
  | { type: "open"; document: DealDocument; kinds: DeskKinds }
  /** What somebody else has changed in parts of the deal that were not being changed here. */
  | { type: "merged"; change: DealChange; mergeInputs: MergeInputs; kinds: DeskKinds }
  | { type: "heading"; change: { [Part in keyof DealHeading]?: DealHeading[Part] | undefined } }
  | { type: "option"; action: OptionAction }
  /** What is tried or assumed; `key` where more of the same is no step of its own. */
  | { type: "asides"; change: (asides: Asides) => Asides; key?: string }
  /** Anything else, such as an option more; `key` where more of the same is no step of its own. */
  | {
      type: "document";
      change: (document: DealDocument) => DealDocument;
      open?: string;
      key?: string;
      kinds?: DeskKinds;
    }
  | { type: "select"; id: string }
  | { type: "spread"; spread: Spread | null }
  | { type: "undo"; kinds?: DeskKinds }
  | { type: "redo"; kinds?: DeskKinds }
  /** Kinds that have arrived in a fuller form. */
  | { type: "arrived"; kinds: DeskKinds }
  /** The steps of this page before it was loaded again. */
  | { type: "steps"; steps: Steps };

/** The desk as it opens on a deal. */
export function openDesk(
  document: DealDocument,
  kinds: DeskKinds,
  houseLocale: Locale = DEFAULT_LOCALE,
): DeskState {
  return deskWith(document, { houseLocale, kinds }, document.chosen, () => undefined);
}

/** The desk after something was done on it; what an officer changes can be undone. */
export function deskReducer(state: DeskState, action: DeskAction): DeskState {
  const next = changed(state, action);
  if (!IS_STEP.has(action.type)) return next;
  const steps = stepsAfter(next.steps, { ...stepOf(state), key: keyOf(state, action) }, deskDocument(next));
  return { ...next, steps: isDone(action) ? stepsDone(steps) : steps };
}

const IS_STEP: ReadonlySet<DeskAction["type"]> = new Set(["heading", "option", "document", "asides"]);

const isDone = (action: DeskAction) => action.type === "option" && action.action.type === "left";

/** What is being changed: typing in one field is one step. */
function keyOf({ open }: DeskState, action: DeskAction): string | null {
  if (action.type === "heading") return Object.keys(action.change).join();
  if (action.type === "document" || action.type === "asides") return action.key ?? null;
  return action.type === "option" && action.action.type === "typed" ? `${open} ${action.action.field}` : null;
}

const stepOf = (state: DeskState): Step => ({ document: deskDocument(state), open: state.open, key: null });

function changed(before: DeskState, action: DeskAction): DeskState {
  const state = "kinds" in action ? { ...before, kinds: { ...before.kinds, ...action.kinds } } : before;
  switch (action.type) {
    case "document":
      return withDocument(state, action.change(deskDocument(state)), action.open ?? state.open);
    case "select":
      return { ...state, open: action.id, steps: stepsDone(state.steps) };
    case "spread":
      return { ...state, spread: action.spread };
    case "undo":
      return goBack(state);
    case "redo":
      return goForward(state);
    case "steps":
      return { ...state, steps: action.steps };
    case "open":
      return openDesk(action.document, state.kinds, state.houseLocale);
    case "arrived":
      return withArrived(state);
    case "merged":
      return merged(state, action);
    case "heading":
      return { ...state, heading: { ...state.heading, ...action.change } as DealHeading };
    case "asides":
      return { ...state, asides: action.change(state.asides ?? {}) };
    case "option":
      return withOpenOption(state, optionReducer(openedOption(state), action.action));
  }
}

/** Each option by its kind as it has arrived; what is being typed in the open one, or cannot be read, is read once more. */
function withArrived(state: DeskState): DeskState {
  const options = state.options.map((option): DeskOption => {
    const desk = state.kinds[option.state.kind] ?? option.state.desk;
    return { ...option, state: { ...option.state, desk } as OptionState };
  });
  const arrived = { ...state, options };
  const opened = openedOption(arrived);
  const isTyped = opened.edit !== null || hasErrors(opened.errors);
  return isTyped ? withOpenOption(arrived, optionReducer(opened, { type: "again" })) : arrived;
}

function withOpenOption(state: DeskState, opened: OptionState): DeskState {
  const { spread, options } = state;
  const { inputs: now } = openedOption(state);
  const isSpread = spread !== null && now !== opened.inputs;
  const spreadFrom = spread === null ? null : spreadFromOf(state, opened);
  const before = spreadFrom ? spreadFrom.edit.before : now;
  const other = (option: DeskOption): DeskOption => {
    if (!isSpread) return option;
    const inputs = spread(before, opened.inputs, spreadFrom?.others.get(option.id) ?? option.state.inputs);
    return inputs === option.state.inputs ? option : { ...option, state: withInputs(option.state, inputs) };
  };
  return {
    ...state,
    spreadFrom,
    options: options.map(option => (option.id === state.open ? { ...option, state: opened } : other(option))),
  };
}

/** The options as they were when what is being typed was begun. */
function spreadFromOf({ spreadFrom, options }: DeskState, { edit }: OptionState): DeskState["spreadFrom"] {
  if (!edit || spreadFrom?.edit === edit) return edit && spreadFrom;
  return { edit, others: new Map(options.map(({ id, state }) => [id, state.inputs])) };
}

/** What was typed and cannot be read goes first. */
function goBack(state: DeskState): DeskState {
  const opened = openedOption(state);
  if (hasErrors(opened.errors))
    return withOpenOption(state, { ...opened, typed: {}, errors: {}, edit: null });
  const { past, future } = state.steps;
  const step = past.at(-1);
  if (!step) return state;
  const steps = { past: past.slice(0, -1), future: [...future, stepOf(state)] };
  return { ...withDocument(state, step.document, step.open), steps };
}

function goForward(state: DeskState): DeskState {
  const { past, future } = state.steps;
  const step = future.at(-1);
  if (!step) return state;
  const steps = { past: [...past, stepOf(state)], future: future.slice(0, -1) };
  return { ...withDocument(state, step.document, step.open), steps };
}

/** The deal changed to another state; options that are the same stay as they are on the screen. */
function withDocument(state: DeskState, document: DealDocument, open: string): DeskState {
  const { steps, spread } = state;
  const shown = new Map(state.options.map(option => [option.id, option.state]));
  const known = (id: string, inputs: DealFile) => {
    const option = shown.get(id);
    return option && isSame(option.inputs, inputs) ? option : undefined;
  };
  return { ...deskWith(document, state, open, known), steps, spread };
}

/** The deal as it is saved: what of the desk an officer can change. */
export function deskDocument({ heading, chosen, options: shown, asides }: DeskState): DealDocument {
  const options = shown.map(({ id, name, state }) => ({ id, name, inputs: state.inputs }));
  return { ...heading, chosen, options, ...asidesMember(asides) };
}

/** The option that is open on the desk. */
export function openedOption({ options, open }: DeskState): OptionState {
  const option = options.find(({ id }) => id === open) ?? options[0];
  if (!option) throw new Error("A deal has at least one option.");
  return option.state;
}

/**
 * What is being typed stays in its field. What was done here before is not undone from now on: that would undo what
 * somebody else did.
 */
function merged(
  state: DeskState,
  { change, mergeInputs }: Extract<DeskAction, { type: "merged" }>,
): DeskState {
  const document = applyChange(deskDocument(state), change);
  const known = (id: string, inputs: DealFile) => {
    const shown = state.options.find(option => option.id === id)?.state;
    return shown && withTheirs(shown, inputs, mergeInputs);
  };
  return { ...deskWith(document, state, state.open, known), spread: state.spread };
}

/** An option with figures that somebody else has changed. */
function withTheirs(shown: OptionState, inputs: DealFile, mergeInputs: MergeInputs): OptionState | undefined {
  if (isSame(shown.inputs, inputs)) return shown;
  if (kindNameOf(inputs) !== shown.kind) return undefined;
  const { edit } = shown;
  const before = edit && mergeInputs(shown.inputs, edit.before, inputs);
  return { ...withInputs(shown, inputs), edit: before ? { ...edit, before } : null };
}

function deskWith(
  document: DealDocument,
  { houseLocale, kinds }: Pick<DeskState, "houseLocale" | "kinds">,
  open: string,
  known: (id: string, inputs: DealFile) => OptionState | undefined,
): DeskState {
  return {
    heading: headingOf(document),
    asides: document.asides,
    houseLocale,
    kinds,
    steps: NO_STEPS,
    spread: null,
    spreadFrom: null,
    chosen: document.chosen,
    open: document.options.some(({ id }) => id === open) ? open : document.chosen,
    options: document.options.map(({ id, name, inputs }) => ({
      id,
      name,
      state: known(id, inputs) ?? openOption(inputs, kinds, houseLocale),
    })),
  };
}
