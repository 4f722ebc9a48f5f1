import { evaluate, type LoanDeal, type LoanPlan } from "@/core";
import { date, dealWith } from "./deals";

const SIGNED = date("2027-01-15");
const plan = (change: Partial<LoanPlan>, find: LoanDeal["find"] = "payment") => dealWith({}, change, find);
const from = (deal: LoanDeal, known: NonNullable<LoanDeal["from"]>): LoanDeal => ({ ...deal, from: known });

// 10,000.00 at 6 % over 12 months, each with one thing that cannot be.
test.each<[figure: string, sentence: string, deal: LoanDeal]>([
  [
    "firstPayment",
    "The first payment, 2027-01-10, must come after the contract date, 2027-01-15.",
    plan({ signed: SIGNED, firstPayment: date("2027-01-10") }),
  ],
  [
    "payments",
    "The number of payments is 0; it must be a whole number from 1 to 1,200.",
    plan({ payments: 0 }),
  ],
  [
    "payment",
    "A payment of 49.99 does not cover the first interest of 50.00, so that the loan never ends. " +
      "The smallest payment that works is 50.13, over 1,200 payments.",
    plan({ payments: null, payment: 4999 }, "payments"),
  ],
  [
    "interestOnly",
    "12 interest-only payments of 12 repay nothing before the end and contradict the balloon; " +
      "it must be a whole number from 1 to 11.",
    plan({ interestOnly: 12, balloon: { amount: 100_000 } }),
  ],
  [
    "interestOnly",
    "Interest-only payments need payments in arrears: in advance there is no interest yet to pay.",
    plan({ interestOnly: 3, timing: "advance" }),
  ],
  [
    "extra",
    "An extra of 12,000.00 with every payment is more than the 10,000.00 owed; it can be at most that.",
    plan({ extra: { each: { amount: 1_200_000 } } }),
  ],
  [
    "extra",
    // 9,189.34 and the interest of 14 of 28 days: 9,189.34 × 0.5 % ÷ 2.
    "The extra of 9,500.00 on 2027-03-01 is more than the 9,212.31 owed then; it can be at most that.",
    plan({ signed: SIGNED, extra: { once: [{ amount: 950_000, date: date("2027-03-01") }] } }),
  ],
  [
    "extra",
    "The extra payment on 2027-01-01 comes before the loan; it can be from 2027-01-15 to 2028-01-15.",
    plan({ signed: SIGNED, extra: { once: [{ amount: 100, date: date("2027-01-01") }] } }),
  ],
  [
    "extra",
    "Extra payments on a date need the contract date; type it.",
    plan({ extra: { once: [{ amount: 100, date: SIGNED }] } }),
  ],
  [
    "currency",
    "XQZ is not a known currency; use a code of ISO 4217 such as USD.",
    { ...plan({}), currency: "XQZ" },
  ],
  [
    "balloon",
    "A balloon of 20,000.00 is more than 10,000.00 grows to without any payment; it can be at most 10,616.77.",
    plan({ balloon: { amount: 2_000_000 } }),
  ],
  [
    "balloon",
    "A balloon of 2000 % is not possible; it can be 0 to 1,000 % of the price.",
    plan({ balloon: { percent: "2000" } }),
  ],
  [
    "deferred",
    "12 deferred payment dates are not possible in a term of 12; it must be a whole number from 1 to 11.",
    plan({ deferred: { payments: 12, interest: "accrues" } }),
  ],
  ["skippedMonths", "Skipped months need dates; type the contract date.", plan({ skippedMonths: [7] })],
  [
    "skippedMonths",
    "Every payment date falls in a skipped month; skip fewer of them.",
    plan({ signed: SIGNED, skippedMonths: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12] }),
  ],
  [
    "skippedMonths",
    "The skipped month 13 is no month; it must be 1 to 12.",
    plan({ signed: SIGNED, skippedMonths: [13] }),
  ],
  [
    "steps",
    "A step from payment 13 is not possible; steps come in order, from payment 2 to 12.",
    plan({ steps: [{ from: 13, percent: "5" }] }),
  ],
  [
    "steps",
    "A change of -100 % is not possible; it must be a percent above -100 and up to 1000, such as 5 or -2.5.",
    plan({ steps: [{ from: 5, percent: "-100" }] }),
  ],
  [
    "steps",
    "The agreed payments are worth 19,267.67 when the money is lent, more than the 10,000.00 financed; agree smaller ones.",
    plan({ steps: [{ from: 3, amount: 200_000 }] }),
  ],
  [
    "datedPayments",
    "The payment on 2027-02-01 is out of order; each must come after the one before it, the first not before 2027-01-15.",
    plan({
      payments: null,
      signed: SIGNED,
      datedPayments: [
        { date: date("2027-03-01"), amount: null },
        { date: date("2027-02-01"), amount: 100 },
      ],
    }),
  ],
  [
    "datedPayments",
    "Every payment is given, so that none is left to find; leave the one to find out.",
    plan({ payments: null, signed: SIGNED, datedPayments: [{ date: date("2027-03-01"), amount: 100 }] }),
  ],
  [
    "signed",
    "Dated payments need the contract date, from which interest counts.",
    plan({ payments: null, datedPayments: [{ date: date("2027-03-01"), amount: null }] }),
  ],
  [
    "steps",
    "A list of payments cannot have steps; list what is paid.",
    plan({
      payments: null,
      signed: SIGNED,
      datedPayments: [{ date: date("2027-03-01"), amount: null }],
      steps: [{ from: 2, percent: "5" }],
    }),
  ],
  [
    "balloon",
    "A flat-rate loan cannot have a balloon; its payments are all equal.",
    plan({ kind: "flatRate", balloon: { amount: 100 } }),
  ],
  [
    "dayCount",
    "A flat-rate loan is paid in arrears over equal periods: its interest is on the original amount for the whole term.",
    plan({ kind: "flatRate", signed: SIGNED, dayCount: "actual/365" }),
  ],
  [
    "signed",
    "Counting days by actual/360 needs the contract date; type it.",
    plan({ dayCount: "actual/360" }),
  ],
  [
    "firstPayment",
    "Payments in advance begin on the contract date, 2027-01-15; leave the first payment date 2027-02-01 out.",
    plan({ timing: "advance", signed: SIGNED, firstPayment: date("2027-02-01") }),
  ],
  [
    "twiceMonthlyDays",
    "The days 16 and 1 are not two days of a month in order, such as 1 and 16.",
    plan({ frequency: "twiceAMonth", twiceMonthlyDays: [16, 1] }),
  ],
  [
    "twiceMonthlyDays",
    "The days 28 and 31 fall together in February; the first can be 1 to 27.",
    plan({ frequency: "twiceAMonth", twiceMonthlyDays: [28, 31] }),
  ],
  [
    "roundingStep",
    "Payments cannot be rounded to 0; the step must be from the smallest coin to 1,000.",
    plan({ roundingStep: 0 }),
  ],
  [
    "prepaidCharge",
    "A charge at signing of 10,000.00 leaves nothing of the 10,000.00 financed; it must be less.",
    plan({ prepaidCharge: 1_000_000 }),
  ],
  [
    "extra",
    "The payment does not follow from the extra with every payment; find the extra with every payment from " +
      "the total cost, the finance charge, the end date or the number of payments.",
    plan({ extra: { each: { amount: null } } }, "extra"),
  ],
  [
    "yearlyRate",
    "The amount financed does not follow from the yearly rate; find the yearly rate from the payment, the total cost or the finance charge.",
    from(plan({ yearlyRate: null }, "yearlyRate"), { figure: "amountFinanced", value: 900_000 }),
  ],
  [
    "totalCost",
    "No yearly rate gives a total cost of 9,000.00: even yearly rate 0 % takes 10,000.00. The smallest total cost that works is 10,000.00.",
    from(plan({ yearlyRate: null }, "yearlyRate"), { figure: "totalCost", value: 900_000 }),
  ],
  [
    "endDate",
    "The end date 2027-01-20 is not possible; it can be from the first payment, 2027-02-15, to 2127-01-15.",
    from(plan({ payments: null, signed: SIGNED }), { figure: "endDate", value: date("2027-01-20") }),
  ],
])("%s: %s", (figure, sentence, deal) => {
  const quote = evaluate(deal);
  expect(quote.ok ? quote.value.payment : quote.failure).toMatchObject({ figure, sentence });
});
