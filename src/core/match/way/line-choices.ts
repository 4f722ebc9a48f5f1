import type { Structure } from "../../structure";
import { financingMore } from "./amounts";
import { dealChoice } from "./deal-choice";
import type { Departure, LineChange } from "./departure";
import { offBy, type StatedFigure } from "./stated";
import type { Choice } from "./way";

/** A line of a deal as it counts towards what is financed: below zero where it is taken off. */
export type CountedLine = { name: string; amount: number; isFinanced: boolean };

type LinesDeparture = Extract<Departure, { kind: "lines" }>;

/**
 * What another amount financed can come from: a line that was left out, is there twice, or is financed that is paid
 * otherwise; or two of them left out or financed together. Each amount once, the fewest lines first.
 *
 * @param lines the lines of the deal, but for those whose change is a slip
 * @example linesThatDiffer([{ name: "Documents", amount: 29900, isFinanced: true }]).length // 2
 */
export function linesThatDiffer(lines: readonly CountedLine[]): LinesDeparture[] {
  const counted = lines.filter(({ amount }) => amount !== 0);
  const single = counted.flatMap(({ name, amount, isFinanced }): LinesDeparture[] => {
    const of = (change: LineChange, more: number): LinesDeparture => ({
      kind: "lines",
      more,
      lines: [{ name, change }],
    });
    return isFinanced ? [of("twice", amount), of("leftOut", -amount)] : [of("financed", amount)];
  });
  const moved = single.filter(({ lines: [line] }) => line?.change !== "twice");
  const pairs = moved.flatMap((one, index) =>
    moved.slice(index + 1).map(
      (other): LinesDeparture => ({
        kind: "lines",
        more: one.more + other.more,
        lines: [...one.lines, ...other.lines],
      }),
    ),
  );
  const known = new Set([0]);
  return [...single, ...pairs].filter(({ more }) => {
    if (known.has(more)) return false;
    known.add(more);
    return true;
  });
}

type HasStructure = { structure: Structure };

/**
 * The choices of another amount financed: lines of the deal, and the amount that is stated.
 *
 * @param lines the deal's lines
 * @param stated the amount financed that is stated, and what the deal's and its cash down is, in minor units
 */
export function amountChoices<Deal extends HasStructure, Way extends { deal: Deal }>(
  lines: readonly CountedLine[],
  stated: { figure: StatedFigure | undefined; own: number; cash: number; decimals: number },
): Choice<Way>[] {
  const differing = linesThatDiffer(lines);
  const choices: Choice<Way>[] = differing.map(departure => choiceOf(departure, departure.more, stated.cash));
  const more = stated.figure ? -offBy(stated.own, stated.figure, stated.decimals) : 0;
  const isWhole = Number.isInteger(more);
  if (isWhole && more !== 0 && !differing.some(each => each.more === more))
    choices.push(choiceOf({ kind: "amount", more, amount: stated.own + more }, more, stated.cash));
  return choices;
}

const choiceOf = <Deal extends HasStructure, Way extends { deal: Deal }>(
  departure: Departure,
  more: number,
  cash: number,
): Choice<Way> => dealChoice(departure, (deal: Deal) => financingMore(deal, more, cash));
