import { success } from "../../../../result";
import { changePay } from "../draft";
import { conflictOf, type Part } from "./conflicts";
import type { Shape } from "./shape";

const EXCLUDED = ["skippedMonths", "steps", "datedPayments"] as const satisfies Part[];

type Inputs = { kind: string } & { [Excluded in (typeof EXCLUDED)[number]]?: unknown };

/**
 * The same part of the principal in each payment and the interest on what is owed, so that payments fall; also called
 * constant or straight principal.
 */
export const equalPrincipal: Shape<Inputs> = (draft, plan) => {
  if (plan.kind !== "equalPrincipal") return success(draft);
  const conflict = conflictOf(
    plan,
    EXCLUDED,
    part =>
      `An equal-principal loan cannot have ${part}; each payment repays the same part of the principal.`,
  );
  if (conflict) return conflict;
  const runs = changePay(draft.runs, 1, draft.payments, () => ({ kind: "principal" }));
  return success({ ...draft, runs });
};
