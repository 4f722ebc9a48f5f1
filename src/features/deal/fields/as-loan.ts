import type { LeaseQuote } from "@/core";
import type { LeaseFile } from "@/exchange/kinds/lease";
import type { LoanFile } from "@/exchange/kinds/loan";
import { comingBack, type Kept, openFigure, paymentOf, turned, typedOnly } from "./change-kind";
import { giveFoundLease } from "./give-found-lease";
import { rateOfFactor } from "./reckoning";

/**
 * A lease as a loan: the other way round.
 *
 * @param file the lease as it was typed
 * @param quote its answer
 */
export function asLoan(file: LeaseFile, quote: LeaseQuote | null): LoanFile {
  const open = openFigure(file.find);
  const given = giveFoundLease(file, quote);
  const kept: Kept<LoanFile> = file.kept
    ? comingBack(file.find, file.kept as Kept<LoanFile>)
    : { plan: firstLoanPlan(given, quote, open !== undefined), find: open ?? "payment" };
  return turned(file, given, kept);
}

function firstLoanPlan(
  { plan }: LeaseFile,
  quote: LeaseQuote | null,
  isFoundFromPayment: boolean,
): LoanFile["plan"] {
  const { yearlyRate, moneyFactor, payments, frequency, rounding, roundingStep, signed } = plan;
  return typedOnly<LoanFile["plan"]>({
    kind: "loan",
    yearlyRate: yearlyRate ?? (moneyFactor === undefined ? undefined : rateOfFactor(moneyFactor)),
    payments,
    frequency,
    rounding,
    roundingStep,
    signed,
    payment: isFoundFromPayment ? paymentOf(quote) : undefined,
  });
}
