import { isoDate } from "../../calendar";
import { type Extra, type PaymentRow, whatIsLeft } from "../../kinds/loan/plan";
import type { LoanQuote } from "../../kinds/loan/quote";
import { roundingText } from "../../kinds/loan/working";
import { counted, moneyWriter, type WorkingStep } from "../../working";
import { earlyLoan } from "./early-loan";
import type { RepaidEarly } from "./repaid-early";

/**
 * How it comes about what extra payments save, and what they lower the payments to.
 *
 * @param quote an answered deal
 * @param early what is tried beside its plan
 * @param repaid what that makes of it
 * @example
 * const early = { once: [{ after: 24, amount: 400_000 }] };
 * earlyWorking(campervan, early, repaidEarly(campervan, early).value).filled // "8,068.18 − 6,981.93"
 */
export function earlyWorking(quote: LoanQuote, early: Extra, repaid: RepaidEarly): WorkingStep {
  const money = moneyWriter(quote);
  const { totalInterest, payments } = quote;
  const { interest, interestSaved, earlyFee, paymentsSaved } = repaid;
  const lowered = loweredPayment(quote, early, repaid);
  return {
    name: "Interest saved",
    formula: `interest as planned − interest with the extra payments${earlyFee > 0 ? " − charge for paying early" : ""}`,
    filled: `${money(totalInterest)} − ${money(interest)}${earlyFee > 0 ? ` − ${money(earlyFee)}` : ""}`,
    result: money(interestSaved),
    remark:
      paymentsSaved > 0
        ? `It ends with payment ${repaid.payments} instead of ${payments}: each payment is as planned, and the one that takes what is left is the last.`
        : "It ends as planned.",
    parts: [interestStep(repaid, money), ...(lowered ? [lowered] : [])],
  };
}

/** The interest with the extra payments, from what comes in and what was lent. */
function interestStep({ schedule, interest }: RepaidEarly, money: (minor: number) => string): WorkingStep {
  const sum = (rows: readonly PaymentRow[]) => rows.reduce((total, { payment }) => total + payment, 0);
  const extras = schedule.filter(({ kind }) => kind === "extra");
  const paid = sum(schedule) - sum(extras);
  const lent = sum(schedule) - interest;
  return {
    name: "Interest with the extra payments",
    formula: "payments + extra payments − what was lent",
    filled: `${money(paid)} + ${money(sum(extras))} − ${money(lent)}`,
    result: money(interest),
    remark: `${counted(extras.length, "extra payment")} of their own; what is paid on top with payments is among those.`,
    parts: [],
  };
}

/** The payment from the last money on that lowers it. */
function loweredPayment(quote: LoanQuote, early: Extra, repaid: RepaidEarly): WorkingStep | undefined {
  const tried = earlyLoan(quote, early);
  const event = tried.ok && tried.value.loan.extras.findLast(({ effect }) => effect === "lowerPayments");
  if (!event || !tried.ok) return undefined;
  const { schedule, solved } = repaid;
  const place = schedule.findLastIndex(
    ({ kind, number, date }) => kind === "extra" && number === event.before && date === event.date,
  );
  const row = schedule[place];
  if (!row || row.balance === 0) return undefined;
  const money = moneyWriter(quote);
  // On a payment's day the next one is the first that is lower; between two the next one bears what is left of its interest.
  const isOnDay = event.daysLeft === 0;
  const next = schedule[place + 1];
  const left = isOnDay
    ? whatIsLeft(tried.value.loan, row.balance, row.number + 1)
    : whatIsLeft(tried.value.loan, row.balance, row.number, next?.interest ?? 0);
  const { solved: worth, amounts, atEnd } = left.solver.worth;
  if (worth <= 0) return undefined;
  const { balloon } = tried.value.loan;
  const agreed = amounts > 0 ? ` − ${money(Math.round(amounts))}` : "";
  const atTheEnd = balloon > 0 ? ` − ${money(balloon)} × ${atEnd.toFixed(8)}` : "";
  return {
    name: `${quote.kind === "equalPrincipal" ? "Part of the principal" : "Payment"} from payment ${isOnDay ? row.number + 1 : row.number} on`,
    formula:
      "(what is owed − worth of agreed payments − balloon × worth at the end) ÷ worth of payments of 1 that are left",
    filled: `(${money(left.owed)}${agreed}${atTheEnd}) ÷ ${worth.toFixed(8)}`,
    result: money(solved),
    rounding: roundingText(quote),
    remark: `Owed after the extra payment of ${money(row.payment)}${row.date === null ? "" : ` on ${isoDate(row.date)}`}${isOnDay ? "" : ", with its interest up to the next payment"}.`,
    parts: [],
  };
}
