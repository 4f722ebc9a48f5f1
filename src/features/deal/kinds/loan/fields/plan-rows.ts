import type { LoanFile } from "@/exchange/kinds/loan";
import { withOptional } from "@/exchange/members";

type PlanFile = LoanFile["plan"];

/** The lists of a plan: steps, extras on a date, and payments that are listed one by one. */
export type PlanLists = {
  steps: NonNullable<PlanFile["steps"]>[number];
  once: NonNullable<NonNullable<PlanFile["extra"]>["once"]>[number];
  datedPayments: NonNullable<PlanFile["datedPayments"]>[number];
};
export type PlanListName = keyof PlanLists;

/** The rows of a list. */
export function planRows<List extends PlanListName>(plan: PlanFile, list: List): readonly PlanLists[List][] {
  const rows = { steps: plan.steps, once: plan.extra?.once, datedPayments: plan.datedPayments }[list];
  return (rows ?? []) as unknown as readonly PlanLists[List][];
}

/** The plan with other rows in a list; without the list where none are left. */
export function withPlanRows<List extends PlanListName>(
  plan: PlanFile,
  list: List,
  rows: readonly PlanLists[List][],
): PlanFile {
  const value = rows.length > 0 ? [...rows] : undefined;
  if (list !== "once") return withOptional(plan, list as "steps", value as PlanFile["steps"]);
  const extra = withOptional(plan.extra ?? {}, "once", value as NonNullable<PlanFile["extra"]>["once"]);
  return withOptional(plan, "extra", Object.keys(extra).length > 0 ? extra : undefined);
}
