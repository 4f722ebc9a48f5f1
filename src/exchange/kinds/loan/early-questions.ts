import {
  failure,
  type KeepOrPay,
  keepOrPay,
  type LoanQuote,
  type PaidOffBy,
  paidOffBy,
  type Result,
} from "@/core";
import type { Beside } from "../../extra-payments/beside";
import { readEarly } from "../../extra-payments/read-early";
import type { DealQuestion } from "../../questions/questions.schema";
import { fileReader } from "../../reading";
import { rateText } from "../../text";

type Asked<Word extends DealQuestion["ask"]> = Extract<DealQuestion, { ask: Word }>;

/** The least extra money that pays a loan off in time. */
export function askPaidOffBy(
  { payments, date: byDate, with: using }: Asked<"paidOffBy">,
  quote: LoanQuote,
  { early }: Beside,
): Result<PaidOffBy> {
  const { each, after, date: onDate } = using;
  const tried = readEarly(early, quote.deal.currency);
  if (!tried.ok) return tried;
  if ((payments === undefined) === (byDate === undefined))
    return failure("early", "It is paid off by a payment or a date; give one of payments and date.");
  if ([each, after, onDate].filter(way => way !== undefined).length !== 1)
    return failure("early", "It is paid off with each payment or once; give one of each, after and date.");
  const read = fileReader(quote.deal.currency);
  const by = read.date("early", "date by which it is paid off", byDate);
  const on = read.date("early", "date of the extra", onDate);
  const wrong = read.failure();
  if (wrong) return { ok: false, failure: wrong };
  return paidOffBy(
    quote,
    tried.value,
    payments === undefined ? { date: by ?? 0 } : { payments: Number(payments) },
    each ? { each: numbersOf(each) } : after === undefined ? { date: on ?? 0 } : { after: Number(after) },
  );
}

const numbersOf = ({ from, to }: { from?: string | number; to?: string | number }) => ({
  ...(from !== undefined && { from: Number(from) }),
  ...(to !== undefined && { to: Number(to) }),
});

/** Whether money in hand leaves more kept or paid in. */
export function askKeepOrPay(
  { after, amount: typed, return: asked }: Asked<"keepOrPay">,
  quote: LoanQuote,
  { return: assumed }: Beside,
): Result<KeepOrPay> {
  const earns = asked ?? assumed;
  if (!earns) return failure("return", "What the money could earn is not said; give return with its rate.");
  const read = fileReader(quote.deal.currency);
  const amount = read.amount("early", "money in hand", typed) ?? 0;
  const wrong = read.failure();
  if (wrong) return { ok: false, failure: wrong };
  const { rate, tax = "0" } = earns;
  return keepOrPay(quote, Number(after), amount, { rate: String(rate), tax: String(tax) });
}

/** The same as plain JSON. */
export function keepOrPayJson(told: KeepOrPay, money: (minor: number) => string): object {
  const { kept, paidIn, difference, tieReturn, credited, earlyFee, rest } = told;
  return {
    kept: money(kept),
    paidIn: money(paidIn),
    difference: money(difference),
    tieReturn: tieReturn === null ? null : rateText(tieReturn),
    credited: money(credited),
    ...(earlyFee > 0 && { earlyFee: money(earlyFee) }),
    ...(rest > 0 && { rest: money(rest) }),
    paidInEnd: told.paidInEnd,
  };
}
