import { useMemo } from "react";
import { inNotation } from "@/exchange/notation";
import { useDesk } from "../desk/desk-context";
import { deskDocument } from "../desk/desk-state";
import { saveDealFile } from "../desk/save-deal-file";
import { VIEWS, type View } from "../desk/views";
import { notationIn } from "../option";
import { useIsFrozen, useOption } from "../option/option-context";
import { roomFor } from "../options/option-changes";
import { useOptionActions, useOptions } from "../options/use-options";
import { MORE_OPTIONS, WISH_FIELD } from "../parts/places";
import {
  buttonCommands,
  type Command,
  FIND_COMMANDS,
  fieldCommands,
  type Group,
  WISH_COMMANDS,
} from "./commands";
import { phraseOf } from "./phrases";

/** Goes to an element once what was done before is on the screen. */
const focusSoon = (id: string) => requestAnimationFrame(() => document.getElementById(id)?.focus());

/** Everything that can be done on the deal screen, in groups; a phrase that is understood comes first. */
export function useCommands(text: string, onShortcuts: () => void): Group[] {
  const { option, act } = useOption();
  const isFrozen = useIsFrozen();
  const { state, view, show, wish } = useDesk();
  const options = useOptions();
  const { select, choose, duplicate, moveBy, remove } = useOptionActions();
  const desk = useMemo(() => document.querySelector<HTMLElement>("[data-testid=desk]"), []);
  const onScreen = useMemo<Group[]>(
    () =>
      desk
        ? [
            { name: "Fields", commands: fieldCommands(desk) },
            { name: "Buttons on the screen", commands: buttonCommands(desk) },
          ]
        : [],
    [desk],
  );
  const groups: Group[] = [];
  const phrase = isFrozen ? undefined : phraseOf(text, option);
  if (phrase)
    groups.push({
      name: "What you say",
      commands: [
        {
          id: "phrase",
          name: text.trim(),
          says: inNotation(phrase.says, notationIn(option)),
          run: () => {
            for (const action of phrase.actions) {
              act(action);
              if (action.type === "typed") act({ type: "left", field: action.field });
            }
          },
        },
      ],
    });
  const opened = options.find(({ isOpen }) => isOpen);
  const place = options.findIndex(({ isOpen }) => isOpen);
  if (!isFrozen)
    groups.push({
      name: "Find and bargain",
      commands: [
        ...FIND_COMMANDS[option.kind].map(
          ([figure, name]): Command => ({
            id: `find-${figure}`,
            name: `Find the ${name}`,
            says: `Finds the ${name}; what is found now stays as it is.`,
            run: () => act({ type: "find", figure }),
          }),
        ),
        ...WISH_COMMANDS.filter(([figure]) => option.kind === "loan" || figure in LEASE_WISHES).map(
          ([figure, name]): Command => ({
            id: `wish-${figure}`,
            name: `Make the ${name} another: what would have to move`,
            says: `Asks what the ${name} should be, and shows what would have to move.`,
            run: () => {
              wish(LEASE_WISHES[figure] && option.kind === "lease" ? LEASE_WISHES[figure] : figure);
              if (option.inputs.find !== "payment") act({ type: "find", figure: "payment" });
              focusSoon(WISH_FIELD);
            },
          }),
        ),
      ],
    });
  groups.push({
    name: "Views",
    commands: (Object.entries(VIEWS) as [View, string][])
      .filter(([each]) => each !== view && !(isFrozen && (each === "map" || each === "reach")))
      .map(([each, name]) => ({
        id: `view-${each}`,
        name: `Show ${name}`,
        says: `Shows ${name.toLowerCase()} beside the structure, or in its place.`,
        run: () => show(each),
      })),
  });
  const ofOptions: Command[] = options
    .filter(({ isOpen }) => !isOpen)
    .map(({ id, called }) => ({
      id: `open-${id}`,
      name: `Open option “${called}”`,
      says: "Opens it; the others stay as they are.",
      run: () => select(id),
    }));
  if (opened && !isFrozen) {
    if (roomFor({ options }) > 0)
      ofOptions.push(
        {
          id: "duplicate",
          name: "Duplicate this option",
          says: "Makes an option more that is like this one, and opens it.",
          run: () => duplicate(opened.id),
        },
        {
          id: "more-options",
          name: "More options: other terms, with or without balloon, percents down, as a lease",
          says: "Opens the panel that makes the usual ones in one step.",
          run: () => document.getElementById(MORE_OPTIONS)?.click(),
        },
      );
    if (!opened.isChosen)
      ofOptions.push({
        id: "choose",
        name: "Choose this option",
        says: "Marks it as the one that the customer takes.",
        run: () => choose(opened.id),
      });
    if (place > 0)
      ofOptions.push({
        id: "left",
        name: "Move this option to the left",
        says: "Moves it one place to the left.",
        run: () => moveBy(opened.id, -1),
      });
    if (options.length > 1)
      ofOptions.push({
        id: "delete-option",
        name: "Delete this option",
        says: "Deletes it; Ctrl Z brings it back.",
        run: () => remove(opened.id, opened.called),
      });
  }
  groups.push({ name: "Options", commands: ofOptions });
  groups.push({
    name: "Elsewhere",
    commands: [
      {
        id: "deal-file",
        name: "Deal file",
        says: "Saves the deal with all its options as a file of its own.",
        run: () => saveDealFile(state.heading.customer || "New deal", deskDocument(state)),
      },
      { id: "keys", name: "Keys", says: "Shows every key that does something.", run: onShortcuts },
      ...(
        [
          ["Deals", "/"],
          ["Stock", "/stock"],
          ["Settings", "/settings"],
        ] as const
      ).map(([name, href]) => ({
        id: `to-${name}`,
        name: `Go to ${name}`,
        says: `Leaves this deal, which is saved, for ${name.toLowerCase()}.`,
        run: () => location.assign(href),
      })),
    ],
  });
  return [...groups, ...onScreen];
}

/** What a lease calls them. */
const LEASE_WISHES: Partial<Record<string, "payment" | "totalIfReturned" | "dueAtSigning" | "endDate">> = {
  payment: "payment",
  totalCost: "totalIfReturned",
  dueAtSigning: "dueAtSigning",
  endDate: "endDate",
};
