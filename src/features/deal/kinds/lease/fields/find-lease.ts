import { formatAmount, type LeaseFoundFigure, type LeaseKnown, type LeaseQuote } from "@/core";
import type { LeaseFile, LeasePlanFile } from "@/exchange/kinds/lease";
import { giveFoundLease } from "@/exchange/kinds/lease/give-found";
import { withOptional } from "@/exchange/members";
import { withOpenAllowance } from "@/exchange/structure/lines";
import { knownAmount, knownOf, withKnown } from "./lease-known";

/**
 * A lease that looks for another figure; what was found until now stays as a given one.
 *
 * @param inputs the lease as it was typed
 * @param quote its answer
 * @param figure what to find: a residual, as it is given, and the rate, as the lease is reckoned
 * @param payment the payment to find it from, where one was just said
 */
export function findInLease(
  inputs: LeaseFile,
  quote: LeaseQuote | null,
  figure: LeaseFoundFigure,
  payment?: string,
): LeaseFile {
  const given = giveFoundLease(inputs, quote);
  const find = asGiven(figure, inputs);
  if (find === "payment") return given;
  const shown = quote ? formatAmount(quote.payment, quote.decimals) : undefined;
  const known =
    payment === undefined && inputs.find !== "payment" && knownAmount(inputs) !== undefined
      ? withKnown(given, knownOf(inputs), String(knownAmount(inputs)))
      : withKnown(given, "payment", payment ?? shown);
  return { ...withoutFigure(known, find), find };
}

/** The same lease, found from another figure of its answer. */
export function fromKnown(inputs: LeaseFile, quote: LeaseQuote | null, figure: LeaseKnown): LeaseFile {
  if (!quote) return withKnown(inputs, figure, undefined);
  const amount = figure === "dueAtSigning" ? quote.dueAtSigning.total : quote[figure];
  return withKnown(inputs, figure, formatAmount(amount, quote.decimals));
}

/** The lease with another plan; a rate that is being found is found as the plan is reckoned. */
export function withLeasePlan(file: LeaseFile, plan: LeasePlanFile): LeaseFile {
  const changed = { ...file, plan };
  return { ...changed, find: asReckoned(file.find, changed) };
}

function asGiven(figure: LeaseFoundFigure, file: LeaseFile): LeaseFoundFigure {
  const { residual } = file.plan;
  if (figure === "residual" && residual && "percent" in residual) return "residualPercent";
  return asReckoned(figure, file);
}

function asReckoned(figure: LeaseFoundFigure, { plan }: LeaseFile): LeaseFoundFigure {
  if (figure === "yearlyRate" || figure === "moneyFactor")
    return plan.reckoning === "moneyFactor" ? "moneyFactor" : "yearlyRate";
  return figure;
}

function withoutFigure(file: LeaseFile, find: LeaseFoundFigure): LeaseFile {
  const { structure, plan } = file;
  switch (find) {
    case "price":
    case "down":
      return { ...file, structure: withOptional(structure, find, undefined) };
    case "allowance":
      return { ...file, structure: withOpenAllowance(structure) };
    case "residual":
    case "residualPercent":
      return { ...file, plan: withOptional(plan, "residual", undefined) };
    case "moneyFactor":
    case "yearlyRate":
    case "payments":
      return { ...file, plan: withOptional(plan, find, undefined) };
    default:
      return file;
  }
}
