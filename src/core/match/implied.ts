import { lastWhole } from "../solve";
import { type Choice, type Machine, offBy, type Stated } from "./way";

/** How much more would be financed by the deal's own conventions, at the least and at the most, in minor units. */
export type Implied = { from: number; to: number };

const MOST_TIMES = 20;

/**
 * How much more than the deal's own amount a stated payment repays by the deal's own conventions.
 *
 * @returns null where no payment is stated, or no amount has it
 */
export function impliedBy<Way>(machine: Machine<Way>, stated: Stated): Implied | null {
  const { payment } = stated;
  const own = machine.measure(machine.base)?.amountFinanced ?? 0;
  if (!payment || own <= 0) return null;
  const above = (more: number): number => {
    const measured = machine.measure(more === 0 ? machine.base : machine.withMore(machine.base, more));
    return measured ? offBy(measured.payment, payment, machine.decimals) : more;
  };
  const ownOff = above(0);
  const guess = Math.round((-ownOff * own) / Math.max(machine.measure(machine.base)?.payment ?? 1, 1));
  const [low, high] = [1 - own, MOST_TIMES * own];
  const inRange = Math.min(Math.max(guess, low), high);
  const to = lastWhole(more => above(more), low, high, inRange);
  const from = 1 + lastWhole(more => (above(more) < 0 ? -1 : 1), low, high, inRange);
  return from <= to && above(to) === 0 ? { from, to } : null;
}

const MOST_AMOUNTS = 150;

/**
 * Amounts that no line explains, each with all else as in the deal: of two departures, because an amount can be found for
 * any payment.
 */
export function unexplainedAmounts<Way>(machine: Machine<Way>, implied: Implied | null): Choice<Way>[] {
  if (!implied || implied.to - implied.from >= MOST_AMOUNTS) return [];
  const own = machine.measure(machine.base)?.amountFinanced ?? 0;
  return Array.from({ length: implied.to - implied.from + 1 }, (_, index): Choice<Way> => {
    const more = implied.from + index;
    return {
      departure: { kind: "amount", more, amount: own + more },
      count: 2,
      change: way => (way === machine.base && more !== 0 ? machine.withMore(way, more) : null),
    };
  });
}
