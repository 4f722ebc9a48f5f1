// By a deal's own conventions a way comes to what the deal comes to: every figure and every row, of random loans of every
// shape and of random leases.
import fc from "fast-check";
import { costOfCredit, evaluate, evaluateLease, isoDate, payoffOn } from "@/core";
import { leaseMachine } from "@/core/match/lease/machine";
import { loanMachine } from "@/core/match/loan/machine";
import { runs } from "../../runs";
import { leaseOf, leases } from "../random-leases";
import { corePlan, drawnPlans, toPlan } from "../random-plans";
import { dealOf, structures } from "../random-structures";

const RUNS = runs(400);

type Row = { number: number; payment: number; interest: number; balance: number };
const cellsOf = (rows: readonly Row[]) =>
  rows.map(({ number, payment, interest, balance }) => [number, payment, interest, balance]);

test(`${RUNS} loans of every shape`, () => {
  let answered = 0;
  fc.assert(
    fc.property(structures, drawnPlans, fc.integer({ min: 0, max: 4000 }), (file, drawn, later) => {
      const amount = Math.max(Math.round(Number(file.structure.price) * 100), 1);
      const plan = toPlan({ ...drawn, amount, extraEach: 0, once: 0 });
      const deal = dealOf(file);
      const answer = evaluate({ ...deal, plan: { ...deal.plan, ...corePlan(plan), prepaidCharge: 0 } });
      if (!answer.ok) return;
      const quote = answer.value;
      const machine = loanMachine(quote, {});
      const measured = machine?.measure(machine.base);
      if (!measured) throw new Error("The deal's own way is none.");
      answered += 1;
      expect({
        payment: measured.payment,
        lastPayment: measured.lastPayment(),
        totalOfPayments: measured.totalOfPayments(),
        financeCharge: measured.financeCharge(),
        amountFinanced: measured.amountFinanced,
        rows: cellsOf(measured.rows()),
      }).toEqual({
        payment: quote.payment,
        lastPayment: quote.finalPayment,
        totalOfPayments: quote.totalOfPayments,
        financeCharge: quote.financeCharge,
        amountFinanced: quote.amountFinanced,
        rows: cellsOf(quote.schedule),
      });
      const cost = costOfCredit(quote);
      if (cost.ok) expect(measured.apr()).toBeCloseTo(cost.value.apr, 6);
      if (quote.startDate === null || quote.finalDate === null) return;
      const on = Math.min(quote.startDate + later, quote.finalDate - 1);
      const payoff = payoffOn(quote, on);
      if (payoff.ok && quote.payments === quote.plannedPayments)
        expect([isoDate(on), measured.payoff(on)]).toEqual([isoDate(on), payoff.value.settle]);
    }),
    { numRuns: RUNS },
  );
  expect(answered).toBeGreaterThan(RUNS / 2);
});

test(`${RUNS} leases`, () => {
  let answered = 0;
  fc.assert(
    fc.property(leases, file => {
      const answer = evaluateLease(leaseOf(file));
      if (!answer.ok) return;
      const quote = answer.value;
      const machine = leaseMachine(quote, {});
      const measured = machine.measure(machine.base);
      if (!measured) throw new Error("The lease's own way is none.");
      answered += 1;
      expect({
        payment: measured.payment,
        totalOfPayments: measured.totalOfPayments(),
        financeCharge: measured.financeCharge(),
        amountFinanced: measured.amountFinanced,
        rows: cellsOf(measured.rows()),
      }).toEqual({
        payment: quote.payment,
        totalOfPayments: quote.totalOfPayments,
        financeCharge: quote.rentCharge,
        amountFinanced: quote.cost,
        rows: quote.schedule.map(({ number, payment, rent, balance }) => [number, payment, rent, balance]),
      });
      expect(measured.apr()).toBeCloseTo(quote.implicitYearlyRate, 8);
    }),
    { numRuns: RUNS },
  );
  expect(answered).toBeGreaterThan(RUNS / 2);
});
