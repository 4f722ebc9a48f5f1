// What holds in every table, whatever the shape of the loan.
import fc from "fast-check";
import { evaluate, type LoanQuote } from "@/core";
import { runs } from "../runs";
import { dealsOf, SHAPE_NAMES } from "./shapes";

const RUNS = runs(800);

/** What is wrong with a table row by row: it splits, it counts on, nothing is below zero. */
function rowProblems({ schedule, loanAmount }: LoanQuote): string[] {
  const problems: string[] = [];
  let balance = loanAmount;
  for (const [index, row] of schedule.entries()) {
    balance -= row.principal;
    const figures = [row.payment, row.interest, row.balance];
    if (!figures.every(figure => Number.isSafeInteger(figure) && figure >= 0))
      problems.push(`row ${index}: ${figures.join(", ")}`);
    if (row.payment !== row.interest + row.principal) problems.push(`row ${index} does not split`);
    if (row.balance !== balance) problems.push(`row ${index} does not count on`);
  }
  if (balance !== 0) problems.push(`${balance} is left`);
  return problems;
}

/** Amounts agreed by steps, by payment number. */
function agreedAmounts({ filled: { plan }, plannedPayments }: LoanQuote): Map<number, number> {
  const { steps = [] } = plan;
  return new Map(
    steps.flatMap((step, index) => {
      const until = (steps[index + 1]?.from ?? plannedPayments + 1) - 1;
      return "amount" in step
        ? Array.from({ length: until - step.from + 1 }, (_, k): [number, number] => [
            step.from + k,
            step.amount,
          ])
        : [];
    }),
  );
}

/** What was agreed or said, and is not paid, before the last payment. */
function agreementProblems(quote: LoanQuote): string[] {
  const { schedule, isLevel, extraEach, agreedBalloon, payment } = quote;
  const agreed = agreedAmounts(quote);
  const early = schedule.filter(({ kind }) => kind === "payment").slice(0, -1);
  const isPlain = isLevel && extraEach === 0 && agreedBalloon === 0;
  return early
    .filter(row => row.payment !== (isPlain ? payment : (agreed.get(row.number) ?? row.payment)))
    .map(row => `payment ${row.number} is ${row.payment}`);
}

/** A balloon is paid as agreed, unless extras take from it; they never make more of it. */
function balloonProblems({ schedule, agreedBalloon, balloon, deal }: LoanQuote): string[] {
  const paid = schedule.findLast(({ kind }) => kind === "balloon")?.payment ?? 0;
  const isRight = deal.plan.extra ? paid <= agreedBalloon : paid === agreedBalloon;
  return isRight && paid === balloon ? [] : [`a balloon of ${paid} for ${agreedBalloon}`];
}

test.each(SHAPE_NAMES)("%s: the table closes, owes nothing below zero and keeps what was agreed", shape => {
  let answered = 0;
  fc.assert(
    fc.property(dealsOf(shape), deal => {
      const answer = evaluate(deal);
      if (!answer.ok) return;
      answered += 1;
      const quote = answer.value;
      const problems = [rowProblems(quote), agreementProblems(quote), balloonProblems(quote)].flat();
      expect(problems).toEqual([]);
      expect(quote.amountFinanced + quote.financeCharge).toBe(quote.totalOfPayments);
    }),
    { numRuns: RUNS },
  );
  expect(answered).toBeGreaterThan(RUNS / 2);
});
