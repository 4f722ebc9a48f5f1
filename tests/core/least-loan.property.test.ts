// The least loan that fits its own lines is looked for in leaps; here it is looked for one minor unit after the other.
import fc from "fast-check";
import { planCosts } from "@/core/kinds/loan/deal/plan-costs";
import { readTerms } from "@/core/kinds/loan/plan";
import { type Charge, type Structure, settle } from "@/core/structure";
import { runs } from "../runs";
import { corePlan, drawnPlans, toPlan } from "./random-plans";
import { dealOf, structures } from "./random-structures";

const RUNS = runs(300);

/** A percent of all payments, added to the loan. */
const cover = fc.integer({ min: 1, max: 600 }).map(
  (hundredths): Charge => ({
    name: "Cover",
    amount: { percent: (hundredths / 100).toFixed(2), of: "totalOfPayments" },
    isTaxable: false,
    paid: "financed",
    isFinanceCharge: false,
  }),
);

test(`${RUNS} loans with a percent of all payments are the least, as found unit by unit`, () => {
  let leapt = 0;
  fc.assert(
    fc.property(structures, drawnPlans, cover, (file, drawn, extra) => {
      const deal = dealOf(file);
      const amount = Math.max(deal.structure.price ?? 1, 1);
      const plan = { ...deal.plan, ...corePlan(toPlan({ ...drawn, amount })), prepaidCharge: 0 };
      const structure: Structure = { ...deal.structure, extras: [extra] };
      const terms = readTerms({ ...deal, plan });
      if (!terms.ok) return;
      const costs = planCosts({ ...deal, structure, plan }, terms.value);
      const unitByUnit = { ...costs, risesTo: (from: number) => from };
      expect(settle(structure, costs)).toEqual(settle(structure, unitByUnit));
      const until = costs.risesTo(amount, amount + 40);
      if (until > amount) leapt += 1;
      let before = costs.totalOfPayments(amount);
      for (let loan = amount + 1; loan <= until; loan++) {
        const total = costs.totalOfPayments(loan);
        expect(total).toBeGreaterThanOrEqual(before);
        before = total;
      }
    }),
    { numRuns: RUNS },
  );
  expect(leapt).toBeGreaterThan(RUNS / 4);
});
