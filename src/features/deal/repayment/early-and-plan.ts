import type { PaymentRow } from "@/core";
import { eachOf } from "@/exchange/extra-payments/each-extra";
import type { ExtraFile } from "@/exchange/extra-payments/extra.schema";

/** What a plan has of its own, and what is tried beside it. */
export type PlanAndEarly = { plan: ExtraFile; early: ExtraFile };

/**
 * Moves what is tried into the plan, as far as a plan can have it: money that lowers payments stays, and so does what the
 * plan has already otherwise.
 *
 * @param trimmed what of each once comes to, where it is more than is owed, by its place
 */
export function intoPlan(
  { plan, early }: PlanAndEarly,
  trimmed: (index: number) => string | undefined = () => undefined,
): PlanAndEarly {
  const { each, yearly, once = [] } = early;
  const taken = once
    .map((typed, index) => ({ ...typed, amount: trimmed(index) ?? typed.amount }))
    .filter(({ then }) => then !== "lowerPayments");
  const stays = once.filter(({ then }) => then === "lowerPayments");
  const movesEach = each !== undefined && plan.each === undefined;
  const movesYearly = yearly !== undefined && plan.yearly === undefined;
  const all = [...(plan.once ?? []), ...taken.map(withoutThen)];
  return {
    plan: {
      ...plan,
      ...(movesEach && { each }),
      ...(movesYearly && { yearly }),
      ...(all.length > 0 && { once: all }),
    },
    early: {
      ...(each !== undefined && !movesEach && { each }),
      ...(yearly !== undefined && !movesYearly && { yearly }),
      ...(stays.length > 0 && { once: stays }),
    },
  };
}

/** The way back: what the plan has is tried beside it. */
export const outOfPlan = ({ plan, early }: PlanAndEarly): PlanAndEarly => {
  const { plan: tried, early: stays } = intoPlan({ plan: early, early: plan });
  return { plan: stays, early: tried };
};

function withoutThen({ then: _, ...once }: NonNullable<ExtraFile["once"]>[number]) {
  return once;
}

/** Whether anything of what is tried has an amount. */
export const hasAmounts = ({ each, yearly, once = [] }: ExtraFile): boolean =>
  (each !== undefined && Number(eachOf(each).amount ?? 0) > 0) ||
  Number(yearly?.amount ?? 0) > 0 ||
  once.some(({ amount }) => Number(amount ?? 0) > 0);

/** The rows of money that comes once, trimmed to what is owed. */
export const trimmedRows = (rows: readonly PaymentRow[]): readonly PaymentRow[] =>
  rows.filter(({ asked }) => asked !== undefined);
