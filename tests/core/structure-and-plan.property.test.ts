// Random structures with plans of every shape: dates, skipped months, steps and agreed payments; each against whole-number
// arithmetic written apart.
import fc from "fast-check";
import { evaluate } from "@/core";
import { runs } from "../runs";
import { type ExactLoan, type ExactPlan, exactPlanTable } from "./exact-plan";
import { cents, exactStructure } from "./exact-structure";
import { corePlan, drawnPlans, toPlan } from "./random-plans";
import { dealOf, structures } from "./random-structures";

const RUNS = runs(1000);

const SHAPES = {
  dates: ({ firstPayment }: ExactPlan) => firstPayment !== undefined,
  "skipped months": ({ skippedMonths }: ExactPlan) => skippedMonths.length > 0,
  steps: ({ steps }: ExactPlan) => steps.some(step => "hundredths" in step),
  "agreed payments": ({ steps }: ExactPlan) => steps.some(step => "amount" in step),
  "in advance": ({ timing }: ExactPlan) => timing === "advance",
  balloon: ({ balloon }: ExactPlan) => balloon > 0n,
};

/** What the payments of a plan are to the lines of a structure. */
function lentBy({ rows }: ExactLoan, plan: ExactPlan, loanAmount: bigint) {
  // A balloon is no payment: where nothing else falls due, nothing falls with it.
  const paid = rows.filter(({ payment }, index) => payment > (index === rows.length - 1 ? plan.balloon : 0n));
  const atSigning = plan.timing === "advance" && rows[0]?.date === plan.signed ? rows[0].payment : 0n;
  return {
    loanAmount,
    totalOfPayments: rows.reduce((sum, { payment }) => sum + payment, 0n),
    atSigning,
    paidTimes: BigInt(paid.length),
  };
}

test(`${RUNS} structures with plans of every shape agree with whole-number arithmetic`, () => {
  const seen = new Map<string, number>();
  fc.assert(
    fc.property(structures, drawnPlans, (file, drawn) => {
      const amount = Math.max(Number(cents(file.structure.price)), 1);
      const plan = toPlan({ ...drawn, amount, extraEach: 0, once: 0 });
      const deal = dealOf(file);
      const answer = evaluate({ ...deal, plan: { ...deal.plan, ...corePlan(plan), prepaidCharge: 0 } });
      if (!answer.ok) return;
      const quote = answer.value;
      const loanAmount = BigInt(quote.loanAmount);
      const exact = exactPlanTable({ ...plan, amount: loanAmount });
      if (!exact) throw new Error("The core answers what cannot be.");
      expect(quote.schedule.map(({ payment, balance }) => [BigInt(payment), BigInt(balance)])).toEqual(
        exact.rows.map(({ payment, balance }) => [payment, balance]),
      );
      const lent = lentBy(exact, plan, loanAmount);
      const lines = exactStructure(file.structure, lent);
      // Where no loan fits its own lines to the cent, the nearest is taken: the other test looks at those.
      if (lines.sum !== loanAmount) return;
      for (const [name, has] of Object.entries(SHAPES)) {
        if (has(plan)) seen.set(name, 1 + (seen.get(name) ?? 0));
      }
      expect({
        due: BigInt(quote.dueAtSigning.total),
        amountFinanced: BigInt(quote.amountFinanced),
        totalCost: BigInt(quote.totalCost),
        financeCharge: BigInt(quote.financeCharge),
      }).toEqual({
        due: lines.due,
        amountFinanced: loanAmount - lines.prepaid,
        totalCost: lent.totalOfPayments + lines.ownCost,
        financeCharge: lent.totalOfPayments - loanAmount + lines.prepaid + lines.chargesInFinanceCharge,
      });
    }),
    { numRuns: RUNS },
  );
  for (const name of Object.keys(SHAPES))
    expect([name, (seen.get(name) ?? 0) > RUNS / 200]).toEqual([name, true]);
});
