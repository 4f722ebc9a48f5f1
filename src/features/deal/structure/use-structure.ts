import { useMemo, useState } from "react";
import { amountIn } from "@/exchange/notation";
import { type LineOf, type ListName, withLine, withNewLine, withoutLine } from "../fields";
import { shownTally } from "../option";
import { useNotation, useOption } from "../option/option-context";
import { newLine } from "./new-line";

/** The structure on the screen, with the ways to change its lines. */
export function useStructure() {
  const { option, act } = useOption();
  const { notation, say } = useNotation();
  const { structure, currency } = option.inputs;
  const tally = shownTally(option);
  const money = (minor: number | undefined) =>
    minor === undefined ? "–" : amountIn(minor, currency, notation);
  return {
    inputs: option.inputs,
    structure,
    tally,
    money,
    say,
    /** The subtotals after the lines of one kind. */
    runningOf: (figure: (typeof tally.lines)[number]["figure"]) =>
      tally.lines.filter(line => line.figure === figure).map(({ running }) => money(running)),
    change: (change: (now: typeof structure) => typeof structure) => act({ type: "structure", change }),
    add: <List extends ListName>(list: List, line: LineOf<List>) => {
      const added = newLine(list, line);
      act({ type: "structure", change: now => withNewLine(now, list, added) });
    },
    put: <List extends ListName>(list: List, index: number, change: Parameters<typeof withLine<List>>[3]) =>
      act({ type: "structure", change: now => withLine(now, list, index, change) }),
    takeOut: (list: ListName, index: number) =>
      act({ type: "structure", change: now => withoutLine(now, list, index), forget: list }),
  };
}

/** Which line is open to be changed. */
type OpenLine = { list: ListName; index: number } | null;

/** What the groups of the tally share: which line is open, and how another is opened. */
export type Opening = { open: OpenLine; setOpen: (line: OpenLine) => void };

/** At first no line is open. */
export function useOpening(): Opening {
  const [open, setOpen] = useState<OpenLine>(null);
  return useMemo(() => ({ open, setOpen }), [open]);
}

export const isOpenLine = ({ open }: Opening, list: ListName, index: number): boolean =>
  open?.list === list && open.index === index;
