import { useMemo } from "react";
import { type DealOption, newId } from "@/exchange/deal-document";
import { proposedNames } from "@/exchange/option-words";
import { notify } from "@/features/notices/notify";
import { useDesk, useFrame } from "../desk/desk-context";
import { type DeskOption, openedOption } from "../desk/desk-state";
import { useRested } from "../desk/use-rested";
import { useNotation } from "../option/option-context";
import {
  withChosen,
  withCopyOf,
  withName,
  withOptionAt,
  withOptionMoved,
  withOptionsAfter,
  withoutOption,
} from "./option-changes";

/** An option of the deal with what it is called. */
export type CalledOption = DeskOption & { called: string; isOpen: boolean; isChosen: boolean };

/** The options of the deal with what they are called; while a figure is typed, with what they were called before. */
export function useOptions(): CalledOption[] {
  const { state } = useDesk();
  const { options, open, chosen } = state;
  const { say } = useNotation();
  const rested = useRested(options, openedOption(state).edit !== null);
  const names = useMemo(() => {
    const called = proposedNames(rested.map(({ name, state: { inputs } }) => ({ name, inputs })));
    return new Map(rested.map(({ id }, index) => [id, called[index]]));
  }, [rested]);
  return options.map(option => ({
    ...option,
    called: say(names.get(option.id) ?? ""),
    isOpen: option.id === open,
    isChosen: option.id === chosen,
  }));
}

/** What can be done with the options of the deal. */
export function useOptionActions() {
  const { dispatch, edit } = useFrame();
  return useMemo(
    () => ({
      select: (id: string) => dispatch({ type: "select", id }),
      choose: (id: string) => edit(withChosen(id)),
      rename: (id: string, name: string) => edit(withName(id, name.trim())),
      duplicate: (id: string) => {
        const copyId = newId();
        edit(withCopyOf(id, copyId), copyId);
      },
      /** Puts options after another one, and opens the first of them. */
      addAfter: (id: string, inputs: readonly DealOption["inputs"][]) => {
        const added = inputs.map(each => ({ id: newId(), name: "", inputs: each }));
        edit(withOptionsAfter(id, added), added[0]?.id);
      },
      moveTo: (id: string, place: number) => edit(withOptionAt(id, place)),
      moveBy: (id: string, by: number) => edit(withOptionMoved(id, by)),
      remove: (id: string, called: string) => {
        edit(withoutOption(id));
        notify(`“${called}” is deleted.`, {
          action: { label: "Undo", onClick: () => dispatch({ type: "undo" }) },
        });
      },
    }),
    [dispatch, edit],
  );
}

export type OptionActions = ReturnType<typeof useOptionActions>;
