// Why a line of a table is other than the usual, in sentences.
import { type LoanPlan, repaidEarly } from "@/core";
import { whyLeaseLine } from "@/exchange/kinds/lease/words/why-line";
import { whyLine } from "@/exchange/kinds/loan/words/why-line";
import { date, dealWith, quoteOf } from "../core/deals";
import { leaseQuote, VAN } from "../core/van-lease";

const campervan = (plan: Partial<LoanPlan> = {}) =>
  quoteOf(dealWith({ price: 3_842_500 }, { yearlyRate: "6.49", payments: 72, ...plan }));

const why = (number: number, plan: Partial<LoanPlan> = {}) => {
  const quote = campervan(plan);
  const place = quote.schedule.findIndex(row => row.number === number);
  return whyLine(quote, quote.schedule, place);
};

test("a usual line has nothing to say", () => {
  expect(why(2)).toBeUndefined();
});

test("the last payment takes what is left", () => {
  expect(why(72)).toBe(
    "The last payment takes what is left: 642.17 and its interest of 3.47, 0.10 less than the payment before it.",
  );
});

test("an odd first period, with its interest", () => {
  const odd = { signed: date("2026-11-24"), firstPayment: date("2027-01-08") };
  expect(why(1, odd)).toMatch(
    /^The first period has 1 month and 14 days instead of one month, so that its interest is \d+\.\d\d\.$/,
  );
});

test("nothing due, just interest, steps and a balloon", () => {
  expect(why(1, { deferred: { payments: 2, interest: "accrues" } })).toContain("is added to what is owed");
  expect(why(1, { deferred: { payments: 2, interest: "waived" } })).toContain("no interest is charged");
  expect(why(1, { interestOnly: 3 })).toBe("Just the interest is due; what is owed stays 38,425.00.");
  const steps = [
    { from: 13, percent: "5" },
    { from: 25, percent: "-2.5" },
    { from: 37, amount: 70_000 },
  ];
  expect(why(13, { steps })).toBe("From this payment on each is 5 % more than before.");
  expect(why(25, { steps })).toBe("From this payment on each is 2.5 % less than before.");
  expect(why(37, { steps })).toBe("From this payment on each is 700.00, as agreed.");
  const quote = campervan({ balloon: { amount: 900_000 } });
  expect(whyLine(quote, quote.schedule, quote.schedule.length - 1)).toBe("Due at the end, as agreed.");
});

test("extra money: when it comes and where it goes, trimmed and between two payments, and a balloon it lowers", () => {
  const quote = campervan({
    signed: date("2026-12-08"),
    firstPayment: date("2027-01-08"),
    balloon: { amount: 900_000 },
  });
  const repaid = repaidEarly(quote, {
    once: [
      { after: 24, amount: 200_000 },
      { date: date("2029-02-01"), amount: 9_000_000 },
    ],
  });
  if (!repaid.ok) throw new Error(repaid.failure.sentence);
  const { schedule } = repaid.value;
  const extras = schedule.flatMap((row, place) => (row.kind === "extra" ? [place] : []));
  const [first, second] = extras.map(place => whyLine(quote, schedule, place));
  expect(first).toBe("2,000.00 comes right after payment 24: all of it goes to principal.");
  expect(second).toMatch(
    /^[\d,.]+ comes on 2029-02-01: [\d,.]+ of it goes to principal and [\d,.]+ to interest since the last payment\. Of the 90,000\.00 no more is taken than is owed\.$/,
  );
  const few = repaidEarly(quote, { once: [{ after: 24, amount: 200_000 }] });
  const rows = few.ok ? few.value.schedule : [];
  expect(whyLine(quote, rows, rows.length - 1)).toBe(
    "Due at the end. The 9,000.00 agreed were lowered by extra payments.",
  );
});

test("a lease: at signing, and down to the residual", () => {
  const quote = leaseQuote(VAN);
  expect(whyLeaseLine(quote, 0)).toContain("Paid at signing");
  expect(whyLeaseLine(quote, 1)).toBeUndefined();
  expect(whyLeaseLine(quote, quote.schedule.length - 1)).toContain("the residual of 18,240.00");
});
