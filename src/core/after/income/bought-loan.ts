import { type Arithmetic, FLOAT, PRECISE } from "../../annuity";
import type { PeriodRate } from "../../interest";
import {
  explainFault,
  interestLeft,
  isFault,
  type Loan,
  loanOf,
  type PaymentRow,
  rateOfPeriod,
  readTerms,
  repay,
} from "../../kinds/loan/plan";
import { type LoanQuote, machineOf, repaidOf } from "../../kinds/loan/quote";
import { roundWhenSure } from "../../money";
import { type Result, success } from "../../result";
import type { Bought } from "./bought";

/**
 * A loan beside the same one at the rate that its lender buys it at. A flat-rate loan is bought at a flat rate, and its
 * payments discounted at the true rate of the same plan at that one.
 *
 * @param quote an answered loan
 * @example boughtLoan(campervan).worth("5.25").value // 3980844
 */
export function boughtLoan(quote: LoanQuote): Bought {
  const { filled, loanAmount, yearlyRate, totalInterest, reckoned } = quote;
  const planAt = (buyRate: string) => ({ ...filled.plan, yearlyRate: buyRate, payment: null });
  return {
    amount: loanAmount,
    contractRate: yearlyRate,
    interest: totalInterest,
    worth: buyRate => {
      const terms = readTerms({ ...filled, plan: planAt(buyRate) });
      return terms.ok
        ? success(worthOfRows(quote, { ...machineOf(quote).loan, draft: terms.value.draft }))
        : terms;
    },
    atBuyRate: buyRate => {
      const plan = planAt(buyRate);
      const terms = readTerms({ ...filled, plan });
      const loan = terms.ok ? loanOf(plan, terms.value, reckoned.price, loanAmount) : terms;
      if (!terms.ok || !loan.ok) return loan as Result<never>;
      const repaid = repay(loan.value);
      if (isFault(repaid)) return { ok: false, failure: explainFault(repaid, loan.value, terms.value) };
      return success({ payment: loan.value.solved, interest: repaid.totalInterest });
    },
    interestAfter: payment => interestLeft(repaidOf(quote), payment),
  };
}

// The worth of 1,200 payments is right to a relative 1e-12.
const RELATIVE_ERROR = 4e-12;

/** What the lines of a table repay at another loan's rates, rounded half up once. */
function worthOfRows({ schedule }: LoanQuote, loan: Loan): number {
  const periods = periodsOf(schedule, loan);
  const worth = worthOf(periods, FLOAT);
  return roundWhenSure(worth, worth * RELATIVE_ERROR, "nearest", () => worthOf(periods, PRECISE));
}

/** The money of one period, and at which part of it each falls: a number of days of so many. */
type Period = { rate: PeriodRate; money: { amount: number; days: number }[]; days: number; of: number };

/** The periods of a table from the last to the first; what ends the loan between two payments ends its period. */
function periodsOf(schedule: readonly PaymentRow[], loan: Loan): Period[] {
  const { calendar, flat } = loan.draft;
  const trueRate = flat?.trueRate(loan.amount);
  const periods: Period[] = [];
  let place = schedule.length - 1;
  for (let number = schedule.at(-1)?.number ?? 0; number >= 1; number--) {
    const from = number === 1 ? calendar.start : calendar.dateOf(number - 1);
    const to = calendar.dateOf(number);
    const of = from === null || to === null ? 1 : Math.max(to - from, 1);
    const money: Period["money"] = [];
    let days = 0;
    for (let row = schedule[place]; row?.number === number; row = schedule[--place]) {
      const isWithin = row.kind === "extra" && row.date !== null && from !== null;
      const at = isWithin ? Math.min((row.date ?? 0) - from, of) : of;
      money.push({ amount: row.payment, days: at });
      days = Math.max(days, at);
    }
    periods.push({ rate: trueRate ?? rateOfPeriod(loan.draft, number), money, days, of });
  }
  return periods;
}

/** What is owed before each period is what its money and what is owed after it are worth, at simple interest within it. */
function worthOf<Value>(
  periods: readonly Period[],
  { zero, one, weight, whole, plus, times, over }: Arithmetic<Value>,
): Value {
  let owed = zero;
  for (const { rate, money, days, of } of periods) {
    const growth = (passed: number) => plus(one, times(weight(rate), over(whole(passed), whole(of))));
    for (const { amount, days: at } of money) owed = plus(owed, times(whole(amount), growth(days - at)));
    owed = over(owed, growth(days));
  }
  return owed;
}
