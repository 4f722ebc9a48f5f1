import fc from "fast-check";
import { addMonths, evaluate, monthsAndDaysBetween } from "@/core";
import { runs } from "../runs";
import { amounts, date, dealWith, rates, roundings, terms } from "./deals";
import { type ExactLoan, exactPayment, exactTable } from "./exact-loan";

const RUNS = runs(1500);
const SIGNED = date("2026-11-24");

/** Days from signing to the first payment: one month for most. */
const firstDates = fc.oneof(
  { weight: 3, arbitrary: fc.constant(addMonths(SIGNED, 1)) },
  { weight: 1, arbitrary: fc.integer({ min: SIGNED + 1, max: SIGNED + 200 }) },
);

test("random loans agree to the cent, row by row, with exact whole-number arithmetic", () => {
  let priced = 0;
  fc.assert(
    fc.property(
      amounts,
      rates,
      terms,
      roundings,
      firstDates,
      (amount, yearlyRate, payments, rounding, first) => {
        const quote = evaluate(
          dealWith(
            { price: amount },
            { yearlyRate, payments, rounding, signed: SIGNED, firstPayment: first },
          ),
        );
        const span = monthsAndDaysBetween(SIGNED, first);
        const loan: ExactLoan = {
          amount: BigInt(amount),
          yearlyRate,
          payments,
          rounding,
          firstThirtieths: BigInt(span.months * 30 + span.days),
        };
        const payment = exactPayment(loan);
        const rows = exactTable(loan, payment);
        if (!quote.ok) {
          expect(rows).toBeUndefined();
          return;
        }
        priced += 1;
        expect(quote.value.payment).toBe(Number(payment));
        expect(
          quote.value.schedule.map(row => [row.payment, row.interest, row.principal, row.balance]),
        ).toEqual(
          rows?.map(row => [
            Number(row.payment),
            Number(row.interest),
            Number(row.principal),
            Number(row.balance),
          ]),
        );
      },
    ),
    { numRuns: RUNS },
  );
  // Extreme rates over long terms are the only loans without a table.
  expect(priced).toBeGreaterThan((RUNS * 5) / 6);
});

test("1,200 payments, from 0.0001 % to 400 %, one cent to ten million", () => {
  const extremes = fc.constantFrom("0.0001", "0.5", "6.49", "29.9", "400");
  const sizes = fc.constantFrom(1, 99, 1_234_567, 1_000_000_000);
  fc.assert(
    fc.property(sizes, extremes, roundings, (amount, yearlyRate, rounding) => {
      const loan = { amount: BigInt(amount), yearlyRate, payments: 1200, rounding, firstThirtieths: 30n };
      const payment = exactPayment(loan);
      const rows = exactTable(loan, payment);
      const quote = evaluate(dealWith({ price: amount }, { yearlyRate, payments: 1200, rounding }));
      if (!quote.ok) {
        expect(rows).toBeUndefined();
        return;
      }
      expect(quote.value.payment).toBe(Number(payment));
      expect(quote.value.schedule.map(row => row.balance)).toEqual(rows?.map(row => Number(row.balance)));
    }),
    { numRuns: 60 },
  );
});

test("every table closes: principal adds up to the amount financed, the balance ends at zero", () => {
  fc.assert(
    fc.property(amounts, rates, terms, roundings, (amount, yearlyRate, payments, rounding) => {
      const quote = evaluate(dealWith({ price: amount }, { yearlyRate, payments, rounding }));
      if (!quote.ok) return;
      const { schedule, totalOfPayments, financeCharge } = quote.value;
      const sum = (figure: "payment" | "interest" | "principal") =>
        schedule.reduce((total, row) => total + row[figure], 0);
      expect(sum("principal")).toBe(amount);
      expect(sum("payment")).toBe(totalOfPayments);
      expect(sum("interest")).toBe(financeCharge);
      expect(schedule.at(-1)?.balance).toBe(0);
    }),
    { numRuns: 2000 },
  );
});
