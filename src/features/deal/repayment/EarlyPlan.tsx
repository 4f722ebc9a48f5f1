import { formatAmount, type LoanQuote, parseAmount } from "@/core";
import type { LoanFile } from "@/exchange/kinds/loan";
import { withOptional } from "@/exchange/members";
import { useDesk } from "../desk/desk-context";
import { useOptionOf } from "../option/option-context";
import { hasAmounts, intoPlan, outOfPlan, type PlanAndEarly, trimmedRows } from "./early-and-plan";
import { withEarly } from "./early-changes";
import type { Tried } from "./use-early";

type Props = { quote: LoanQuote; tried: Tried };

/** Agrees on what is tried, or tries what was agreed. */
export function EarlyPlan({ quote, tried: { early, repaid } }: Props) {
  const { state, edit } = useDesk();
  const { option } = useOptionOf("loan");
  const extra = option.inputs.plan.extra ?? {};
  const move = (way: (now: PlanAndEarly) => PlanAndEarly) =>
    edit(document => {
      // As the deal stands by then.
      const now = document.options.find(({ id }) => id === state.open)?.inputs as LoanFile;
      const moved = way({
        plan: now.plan.extra ?? {},
        early: document.asides?.options?.[state.open]?.early ?? {},
      });
      const extraOfPlan = Object.keys(moved.plan).length > 0 ? moved.plan : undefined;
      const inputs: LoanFile = { ...now, plan: withOptional(now.plan, "extra", extraOfPlan) };
      return {
        ...document,
        options: document.options.map(each => (each.id === state.open ? { ...each, inputs } : each)),
        asides: withEarly(document.asides ?? {}, state.open, moved.early),
      };
    });
  const trimmed = repaid?.ok ? trimmedRows(repaid.value.schedule) : [];
  const trimmedAt = (index: number) => {
    const asked = parseAmount(String(early.once?.[index]?.amount ?? ""), quote.decimals);
    const row = trimmed.find(each => each.asked === asked);
    return row && formatAmount(row.payment, quote.decimals);
  };
  const stays = intoPlan({ plan: extra, early }).early;
  const canMove = repaid?.ok && hasAmounts(early) && JSON.stringify(stays) !== JSON.stringify(early);
  const isFindingExtra = option.inputs.find === "extra" || option.inputs.find === "lump";
  if (!canMove && (option.inputs.plan.extra === undefined || isFindingExtra)) return null;
  return (
    <div className="mt-1.5">
      {canMove && (
        <button type="button" className="btn btn-sm" onClick={() => move(now => intoPlan(now, trimmedAt))}>
          Make it part of the plan
        </button>
      )}
      {!canMove && (
        <button type="button" className="btn btn-ghost btn-sm" onClick={() => move(outOfPlan)}>
          Try the plan’s extra payments beside it instead
        </button>
      )}
      {canMove && Object.keys(stays).length > 0 && (
        <p className="mt-0.5 text-faint text-sm">
          Money that lowers payments, and what the plan has already, stays here.
        </p>
      )}
    </div>
  );
}
