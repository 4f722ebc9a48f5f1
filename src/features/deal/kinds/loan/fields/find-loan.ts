import type { LoanQuote } from "@/core";
import { withoutEachAmount } from "@/exchange/extra-payments/each-extra";
import type { LoanFile } from "@/exchange/kinds/loan";
import { giveFound } from "@/exchange/kinds/loan/give-found";
import { withOptional } from "@/exchange/members";
import { withOpenAllowance } from "@/exchange/structure/lines";
import type { LoanFind } from "../../../fields/field";
import { downKind } from "../../../fields/structure-fields";
import { isKnownFor, knownOf, knownOfQuote, withKnown } from "./loan-known";

/**
 * A loan that looks for another figure; what was found until now stays as a given one.
 *
 * @param inputs the loan as it was typed
 * @param quote its answer
 * @param figure what to find: a cash down as it is given
 * @param payment the payment to find it from, where one was just said
 */
export function findInLoan(
  inputs: LoanFile,
  quote: LoanQuote | null,
  figure: LoanFind,
  payment?: string,
): LoanFile {
  const given = giveFound(inputs, quote);
  const find = figure === "down" && downKind(inputs) === "percent" ? "downPercent" : figure;
  if (find === "payment") return { ...given, plan: withOptional(given.plan, "payment", undefined) };
  const open = { ...withoutFigure(given, find), find };
  const stays = payment === undefined && inputs.find !== "payment" && isKnownFor(find, knownOf(inputs));
  if (stays) return withKnown(open, inputs.from ?? { payment: inputs.plan.payment ?? shownPayment(quote) });
  return isKnownFor(find, "payment")
    ? withKnown(open, { payment: payment ?? inputs.plan.payment ?? shownPayment(quote) })
    : withKnown(open, knownOfQuote(quote, "endDate"));
}

/** The first extra on a date without its amount. */
function withOpenExtra(plan: LoanFile["plan"]): LoanFile["plan"] {
  const [first, ...others] = plan.extra?.once ?? [];
  if (!first) return plan;
  const { amount: _, ...open } = first;
  return { ...plan, extra: { ...plan.extra, once: [open, ...others] } };
}

const shownPayment = (quote: LoanQuote | null) =>
  quote ? String(knownOfQuote(quote, "payment").payment) : undefined;

/** The loan with a figure left out, to be found. */
function withoutFigure(file: LoanFile, find: LoanFind): LoanFile {
  const { structure, plan } = file;
  switch (find) {
    case "price":
      return { ...file, structure: withOptional(structure, "price", undefined) };
    case "down":
    case "downPercent":
      return { ...file, structure: withOptional(structure, "down", undefined) };
    case "allowance":
      return { ...file, structure: withOpenAllowance(structure) };
    case "yearlyRate":
    case "payments":
    case "balloon":
      return { ...file, plan: withOptional(plan, find, undefined) };
    case "extra":
      return {
        ...file,
        plan: withOptional(
          plan,
          "extra",
          plan.extra && withOptional(plan.extra, "each", withoutEachAmount(plan.extra.each)),
        ),
      };
    case "lump":
      return { ...file, plan: withOpenExtra(plan) };
    default:
      return file;
  }
}
