import { useLayoutEffect, useState } from "react";
import { inNotation } from "@/exchange/notation";
import { focusSoon } from "@/features/focus/focus-soon";
import { type Desk, useDesk } from "../desk/desk-context";
import { VIEWS, viewsOf } from "../desk/views";
import { askedOf } from "../kinds/asked";
import { notationIn } from "../option";
import { type OpenOption, useIsFrozen, useOption } from "../option/option-context";
import { roomFor } from "../options/option-changes";
import { type CalledOption, type OptionActions, useOptionActions, useOptions } from "../options/use-options";
import { MORE_OPTIONS, WISH_FIELD } from "../parts/places";
import { turn } from "../plan/turn";
import { buttonCommands, type Command, fieldCommands, type Group } from "./commands";
import { elsewhere, SETTINGS } from "./elsewhere";
import { phraseOf } from "./phrases";

/** Everything that can be done on the deal screen, in groups; a phrase that is understood comes first. */
export function useCommands(text: string): Group[] {
  const open = useOption();
  const isFrozen = useIsFrozen();
  const desk = useDesk();
  const options = useOptions();
  const actions = useOptionActions();
  const onScreen = useOnScreen(desk);
  return [
    ...(isFrozen
      ? []
      : [
          { name: "What you say", commands: [...said(text, open), ...wished(text, open, desk)] },
          { name: "Find and bargain", commands: [...finds(open), ...wishes(open, desk)] },
        ]),
    { name: "Figures and files", commands: figuresAndFiles(open, isFrozen) },
    { name: "Views", commands: views(desk, isFrozen) },
    {
      name: "Options",
      commands: [...others(options, actions), ...(isFrozen ? [] : ofOpen(options, actions))],
    },
    { name: "Elsewhere", commands: elsewhere(desk) },
    { name: "Settings", commands: SETTINGS },
    ...onScreen,
  ].filter(({ commands }) => commands.length > 0);
}

/** Fields and buttons on the screen: anew where a view takes the place of another while this is open. */
function useOnScreen({ view }: Desk): Group[] {
  const [onScreen, setOnScreen] = useState<Group[]>([]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is on the screen is another view's
  useLayoutEffect(() => {
    const root = document.querySelector<HTMLElement>("[data-testid=desk]");
    if (!root) return;
    setOnScreen([
      { name: "Fields", commands: fieldCommands(root) },
      { name: "Buttons on the screen", commands: buttonCommands(root) },
    ]);
  }, [view]);
  return onScreen;
}

/** What a phrase does; nothing where it is none. */
function said(text: string, { option, act }: OpenOption): Command[] {
  const phrase = phraseOf(text, option);
  if (!phrase) return [];
  const run = () => {
    for (const action of phrase.actions) {
      act(action);
      if (action.type === "typed") act({ type: "left", field: action.field });
    }
  };
  return [{ id: "phrase", name: text.trim(), says: inNotation(phrase.says, notationIn(option)), run }];
}

const WISH = /^(?:make (?:it|the payment)|payment)(?: of| to| at most)?\s+(\p{Sc}?\d[\d.,\s]*k?)$/iu;

/** "make it 650", "payment 650": what would have to move for it. */
function wished(text: string, { option, act }: OpenOption, { wish, sayWish }: Desk): Command[] {
  const [, amount] = WISH.exec(text.trim()) ?? [];
  if (amount === undefined) return [];
  const run = () => {
    wish("payment");
    sayWish(amount.trim());
    if (option.inputs.find !== "payment") act({ type: "find", figure: "payment" });
    focusSoon(`#${WISH_FIELD}`);
  };
  return [
    {
      id: "wish-said",
      name: text.trim(),
      says: `Shows what would have to move for a payment of ${amount.trim()}.`,
      run,
    },
  ];
}

/** What stands on the screen by another name, or further down on it. */
function figuresAndFiles({ option, act }: OpenOption, isFrozen: boolean): Command[] {
  const { interest, payoff, turn: turning } = askedOf(option.inputs).said;
  const button = (name: RegExp) =>
    [...document.querySelectorAll<HTMLElement>("[data-testid=desk] button")].find(each =>
      name.test(each.getAttribute("aria-label") ?? each.textContent ?? ""),
    );
  const press = (name: RegExp) => () => button(name)?.click();
  const all: (Command & { isThere: boolean })[] = [
    {
      id: "interest",
      name: interest.name,
      says: "Opens the working.",
      isThere: button(interest.button) !== undefined,
      run: press(interest.button),
    },
    {
      id: "button-payoff",
      name: payoff.name,
      says: payoff.says,
      isThere: true,
      run: payoff.button ? press(payoff.button) : () => focusTable(0),
    },
    {
      id: "button-totals",
      name: "Totals of the repayment table",
      says: "Goes to the end of the repayment table.",
      isThere: document.querySelector(TABLE) !== null,
      run: () => focusTable(Number.MAX_SAFE_INTEGER),
    },
    {
      id: "print",
      name: "Print what is in view",
      says: "Prints this view as a page, without what is pressed.",
      isThere: true,
      run: () => requestAnimationFrame(() => window.print()),
    },
    {
      id: "export-csv",
      name: "Export the repayment table as CSV",
      says: "Saves every payment as a file.",
      isThere: button(/^CSV$/) !== undefined,
      run: press(/^CSV$/),
    },
    {
      id: "turn",
      name: turning.name,
      says: "Turns this option into the other kind; it comes back as it was.",
      isThere: !isFrozen && option.inputs.structure.purpose === undefined,
      run: () => turn(act, turning.to),
    },
  ];
  return all.filter(({ isThere }) => isThere);
}

const TABLE = "section[aria-label='Repayment table']";

function focusTable(top: number): void {
  const table = document.querySelector<HTMLElement>(TABLE);
  table?.focus();
  table?.scrollTo({ top });
}

/** An extra on a date is found where there is one. */
const canFind = (figure: string, { inputs }: OpenOption["option"]) =>
  figure !== "lump" || ("extra" in inputs.plan && (inputs.plan.extra?.once?.length ?? 0) > 0);

const finds = ({ option, act }: OpenOption): Command[] =>
  askedOf(option.inputs)
    .said.findCommands.filter(([figure]) => canFind(figure, option))
    .map(([figure, name]) => ({
      id: `find-${figure}`,
      name: `Find the ${name}`,
      says: `Finds the ${name}; what is found now stays as it is.`,
      run: () => act({ type: "find", figure }),
    }));

function wishes({ option, act }: OpenOption, { wish }: Desk): Command[] {
  return option.desk.wishes.map(([figure, name]) => {
    const run = () => {
      wish(figure);
      if (option.inputs.find !== "payment") act({ type: "find", figure: "payment" });
      focusSoon(`#${WISH_FIELD}`);
    };
    return {
      id: `wish-${figure}`,
      name: `Make the ${name} another: what would have to move`,
      says: `Asks what the ${name} should be, and shows what would have to move.`,
      run,
    };
  });
}

const views = ({ view, show }: Desk, isFrozen: boolean): Command[] =>
  viewsOf(isFrozen)
    .filter(each => each !== view)
    .map(each => ({
      id: `view-${each}`,
      name: `Show ${VIEWS[each]}`,
      says: `Shows ${VIEWS[each].toLowerCase()} beside the structure, or in its place.`,
      run: () => show(each),
    }));

const others = (options: readonly CalledOption[], { select }: OptionActions): Command[] =>
  options
    .filter(({ isOpen }) => !isOpen)
    .map(({ id, called }) => ({
      id: `open-${id}`,
      name: `Open option “${called}”`,
      says: "Opens it; the others stay as they are.",
      run: () => select(id),
    }));

/** What can be done with the open option. */
function ofOpen(options: readonly CalledOption[], actions: OptionActions): Command[] {
  const place = options.findIndex(({ isOpen }) => isOpen);
  const opened = options[place];
  if (!opened) return [];
  const { id, called, isChosen } = opened;
  const hasRoom = roomFor({ options }) > 0;
  const possible: (Command & { isPossible: boolean })[] = [
    {
      id: "duplicate",
      name: "Duplicate this option",
      says: "Makes an option more that is like this one, and opens it.",
      isPossible: hasRoom,
      run: () => actions.duplicate(id),
    },
    {
      id: "more-options",
      name: "More options: other terms, with or without balloon, percents down, as a lease",
      says: "Opens the panel that makes the usual ones in one step.",
      isPossible: hasRoom,
      run: () => document.getElementById(MORE_OPTIONS)?.click(),
    },
    {
      id: "choose",
      name: "Choose this option",
      says: "Marks it as the one that the customer takes.",
      isPossible: !isChosen,
      run: () => actions.choose(id),
    },
    {
      id: "left",
      name: "Move this option to the left",
      says: "Moves it one place to the left.",
      isPossible: place > 0,
      run: () => actions.moveBy(id, -1),
    },
    {
      id: "right",
      name: "Move this option to the right",
      says: "Moves it one place to the right.",
      isPossible: place < options.length - 1,
      run: () => actions.moveBy(id, 1),
    },
    {
      id: "delete-option",
      name: "Delete this option",
      says: "Deletes it; Ctrl Z brings it back.",
      isPossible: options.length > 1,
      run: () => actions.remove(id, called),
    },
  ];
  return possible.filter(({ isPossible }) => isPossible);
}
