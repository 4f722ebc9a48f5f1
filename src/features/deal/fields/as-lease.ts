import type { LoanQuote } from "@/core";
import type { LeaseFile, LeasePlanFile } from "@/exchange/kinds/lease";
import type { LoanFile } from "@/exchange/kinds/loan";
import { comingBack, type Kept, openFigure, paymentOf, turned, typedOnly } from "./change-kind";
import { giveFound } from "./give-found";

/**
 * A loan as a lease. What a lease has too is taken over the first time; a deal that was a lease before is that lease
 * again. The structure is both kinds'.
 *
 * @param file the loan as it was typed
 * @param quote its answer
 */
export function asLease(file: LoanFile, quote: LoanQuote | null): LeaseFile {
  const open = openFigure(file.find);
  const given = giveFound(file, quote);
  const kept: Kept<LeaseFile> = file.kept
    ? comingBack(file.find, file.kept as Kept<LeaseFile>)
    : { plan: firstLeasePlan(given, quote, open !== undefined), find: open ?? "payment" };
  return turned(file, given, kept);
}

/** A loan's rate is that of a lease reckoned by level yield, and a balloon in its end is the residual. */
function firstLeasePlan(
  { plan, structure }: LoanFile,
  quote: LoanQuote | null,
  isFoundFromPayment: boolean,
): LeasePlanFile {
  const { yearlyRate, payments, frequency, rounding, roundingStep, signed, balloon } = plan;
  const residual: LeasePlanFile["residual"] =
    balloon && ("percent" in balloon ? { percent: balloon.percent, of: "price" } : balloon);
  const taxes = structure.taxes?.map(({ name, rate }) => ({ name, rate, on: ["payment" as const] }));
  return typedOnly<LeasePlanFile>({
    kind: "lease",
    reckoning: "levelYield",
    yearlyRate,
    payments,
    frequency,
    rounding,
    roundingStep,
    signed,
    residual,
    inAdvance: 1,
    taxes,
    payment: isFoundFromPayment ? paymentOf(quote) : undefined,
  });
}
