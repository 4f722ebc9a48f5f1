import { formatAmount, isoDate, type LoanQuote, type RepaidEarly, type Result, repaidEarly } from "@/core";
import type { ExtraFile } from "../../extra-payments/extra.schema";
import { readEarly } from "../../extra-payments/read-early";

/** What extra payments come to, as plain JSON. */
export function repaidEarlyJson(repaid: RepaidEarly, { decimals }: LoanQuote) {
  const money = (minor: number) => formatAmount(minor, decimals);
  const { payments, endDate, lastPayment, solved, balloon, interest, earlyFee, interestSaved } = repaid;
  return {
    payments,
    endDate: endDate === null ? null : isoDate(endDate),
    lastPayment: money(lastPayment),
    interest: money(interest),
    interestSaved: money(interestSaved),
    paymentsSaved: repaid.paymentsSaved,
    payment: money(solved),
    ...(balloon > 0 && { balloon: money(balloon) }),
    ...(earlyFee !== 0 && { earlyFee: money(earlyFee) }),
    ...(repaid.notes.length > 0 && { note: repaid.notes.join(" ") }),
  };
}

/** What extra payments that are tried make of an answered loan: for programs, or why the plan takes none. */
export function earlyJson(early: ExtraFile, quote: LoanQuote): object {
  const read = readEarly(early, quote.deal.currency);
  const repaid: Result<RepaidEarly> = read.ok ? repaidEarly(quote, read.value) : read;
  return repaid.ok ? repaidEarlyJson(repaid.value, quote) : { error: repaid.failure.sentence };
}
