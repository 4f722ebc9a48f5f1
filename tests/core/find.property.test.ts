import fc from "fast-check";
import { evaluate } from "@/core";
import { runs } from "../runs";
import { amounts, dealWith, rates, roundings, terms } from "./deals";
import { exactPayment } from "./exact-loan";

const everydayRates = rates.filter(rate => Number(rate) <= 40);
const plans = fc.record({ yearlyRate: everydayRates, payments: terms, rounding: roundings });
const asked = fc.integer({ min: 1000, max: 500_000 });

function independentPayment(
  amount: number,
  plan: { yearlyRate: string; payments: number; rounding: "nearest" | "up" | "down" },
) {
  return Number(exactPayment({ amount: BigInt(amount), ...plan, firstThirtieths: 30n }));
}

test("a found price is the largest whose payment does not pass the one asked for", () => {
  fc.assert(
    fc.property(plans, asked, fc.integer({ min: 0, max: 300_000 }), (plan, payment, downAmount) => {
      const deal = dealWith({ price: null, down: { amount: downAmount } }, { ...plan, payment }, "price");
      const quote = evaluate(deal);
      if (!quote.ok) throw new Error(quote.failure.sentence);
      const { price, amountFinanced } = quote.value;
      expect(amountFinanced).toBe(price - downAmount);
      expect(independentPayment(amountFinanced, plan)).toBeLessThanOrEqual(payment);
      expect(independentPayment(amountFinanced + 1, plan)).toBeGreaterThan(payment);
    }),
    { numRuns: runs(2000) },
  );
});

test("a found price with a percent down is the largest too", () => {
  const percents = fc.integer({ min: 0, max: 9900 }).map(hundredths => (hundredths / 100).toFixed(2));
  fc.assert(
    fc.property(plans, asked, percents, (plan, payment, percent) => {
      const found = evaluate(dealWith({ price: null, down: { percent } }, { ...plan, payment }, "price"));
      if (!found.ok) throw new Error(found.failure.sentence);
      const price = found.value.filled.structure.price ?? 0;
      const paymentAt = (candidate: number) => {
        const quote = evaluate(dealWith({ price: candidate, down: { percent } }, plan));
        return quote.ok ? quote.value.payment : 0;
      };
      expect(paymentAt(price)).toBeLessThanOrEqual(payment);
      expect(paymentAt(price + 1)).toBeGreaterThanOrEqual(paymentAt(price));
      // One cent more on the price may be all cash down, so look as far as the next cent that is financed.
      const step = Math.ceil(100 / (100 - Number(percent)));
      expect(paymentAt(price + step + 1)).toBeGreaterThan(payment);
    }),
    { numRuns: runs(1000) },
  );
});

test("a found cash down is the smallest, and pricing the found deal comes within a cent", () => {
  fc.assert(
    fc.property(plans, amounts, fc.double({ min: 0.05, max: 0.99, noNaN: true }), (plan, price, share) => {
      const full = independentPayment(price, plan);
      const payment = Math.max(1, Math.floor(full * share));
      const quote = evaluate(dealWith({ price, down: null }, { ...plan, payment }, "down"));
      if (!quote.ok) {
        // Only a loan of a few cents can be paid down to nothing.
        expect(independentPayment(1, plan)).toBeGreaterThan(payment);
        return;
      }
      const { down, amountFinanced } = quote.value;
      expect(amountFinanced).toBe(price - down);
      expect(quote.value.payment).toBeLessThanOrEqual(payment);
      expect(quote.value.payment).toBeGreaterThanOrEqual(payment - 1);
      if (down > 0) expect(independentPayment(amountFinanced + 1, plan)).toBeGreaterThan(payment);

      const back = evaluate(dealWith({ price, down: { amount: down } }, plan));
      if (!back.ok) throw new Error(back.failure.sentence);
      // A single payment moves by more than a cent for each cent of the loan: some are no loan's.
      const gap = plan.payments === 1 ? 1 : 0;
      expect([0, gap]).toContain(quote.value.payment - back.value.payment);
    }),
    { numRuns: runs(2000) },
  );
});
