import fc from "fast-check";
import { FREQUENCIES, type Money, periodsPerYear, solveTimeValue, type TimeValue } from "@/core";

const received = (amount: number): Money => ({ amount, direction: "received" });
const paid = (amount: number): Money => ({ amount, direction: "paid" });

/** 10,000.00 received now and repaid to nothing over 60 months at 6 %. */
const LOAN: TimeValue = {
  find: "payment",
  currency: "USD",
  presentValue: received(1_000_000),
  payment: null,
  futureValue: paid(0),
  payments: 60,
  yearlyRate: "6",
  frequency: "monthly",
};

function solved(plan: Partial<TimeValue>) {
  const answer = solveTimeValue({ ...LOAN, ...plan });
  if (!answer.ok) throw new Error(answer.failure.sentence);
  return answer.value;
}

function sentenceOf(plan: Partial<TimeValue>): string {
  const answer = solveTimeValue({ ...LOAN, ...plan });
  if (answer.ok) throw new Error("There is an answer.");
  return answer.failure.sentence;
}

// Worked to 60 digits outside this project.
test("one figure from the other four", () => {
  expect(solved({}).payment).toEqual(paid(19_333));
  expect(solved({ presentValue: received(25_000_000), payments: 360 }).payment).toEqual(paid(149_888));
  expect(
    solved({ timing: "advance", presentValue: received(2_000_000), payments: 36, yearlyRate: "5" }).payment,
  ).toEqual(paid(59_693));
  const save: Partial<TimeValue> = {
    find: "futureValue",
    presentValue: paid(0),
    payment: paid(10_000),
    futureValue: null,
    payments: 120,
    yearlyRate: "5",
  };
  expect(solved(save).futureValue).toEqual(received(1_552_823));
  expect(solved({ ...save, timing: "advance" }).futureValue).toEqual(received(1_559_293));
  const daily: Partial<TimeValue> = {
    payment: paid(50_000),
    payments: 48,
    yearlyRate: "7.2",
    compounding: "daily",
  };
  expect(solved({ ...daily, find: "presentValue", presentValue: null }).presentValue).toEqual(
    received(2_079_099),
  );
  const weekly: Partial<TimeValue> = { frequency: "weekly", compounding: "yearly", payments: 260 };
  expect(solved({ ...weekly, presentValue: received(2_000_000) }).payment).toEqual(paid(8872));
  expect(
    solved({ compounding: "continuous", presentValue: received(2_000_000), payments: 48 }).payment,
  ).toEqual(paid(46_984));
  // At 193.33 it is a little more than the 6 % whose payment is 193.328….
  expect(solved({ find: "yearlyRate", yearlyRate: null, payment: paid(19_333) }).yearlyRate).toBeCloseTo(
    6.0004268,
    6,
  );
});

test("the answer is a sentence in which each amount says which way it goes", () => {
  expect(solved({}).sentence).toBe(
    "Receive 10,000.00 now, pay 193.33 every month in arrears, 60 times, and pay 0.00 at the end, at 6 % a year.",
  );
});

test("a number of payments that is no whole one: full payments, the last one, the balance around it", () => {
  const loan = solved({ find: "payments", payments: null, payment: paid(20_000) });
  expect(loan.payments).toBeCloseTo(57.6801359577751, 10);
  expect(loan.last).toEqual({ fullPayments: 57, amount: 13_614, balanceBefore: 13_614, balanceAfter: 0 });
  const goal = solved({
    find: "payments",
    payments: null,
    presentValue: paid(0),
    payment: paid(20_000),
    futureValue: received(1_500_000),
  });
  expect(goal.payments).toBeCloseTo(63.8498407308574, 10);
  expect(goal.last).toEqual({
    fullPayments: 63,
    amount: 15_879,
    balanceBefore: 1_484_121,
    balanceAfter: 1_500_000,
  });
  // Without interest 10,000.00 at 3,000.00 are three payments and 1,000.00.
  const plain = solved({ find: "payments", payments: null, payment: paid(300_000), yearlyRate: "0" });
  expect(plain.last).toMatchObject({ fullPayments: 3, amount: 100_000 });
});

test("what has no answer says why", () => {
  expect(sentenceOf({ find: "payments", payments: null, payment: paid(5000) })).toBe(
    "A payment of 50.00 does not cover the interest of 50.00 a period, so that it never ends; it must be above 50.00.",
  );
  expect(sentenceOf({ find: "payments", payments: null, payment: received(5000) })).toContain(
    "turn one of the amounts",
  );
  expect(sentenceOf({ find: "yearlyRate", yearlyRate: null, payment: received(5000) })).toContain("No rate");
  expect(sentenceOf({ yearlyRate: null })).toBe("The yearly rate is missing.");
  expect(sentenceOf({ payments: 0 })).toContain("from 1 to 12,000");
  expect(sentenceOf({ currency: "XQZ" })).toContain("not a known currency");
  expect(
    sentenceOf({
      yearlyRate: "1000",
      payments: 12_000,
      find: "futureValue",
      futureValue: null,
      payment: paid(1),
    }),
  ).toContain("grow beyond");
});

test("there and back: each figure is found again from the others", () => {
  const amounts = fc.integer({ min: 100_000, max: 100_000_000 });
  const plans = fc.record({
    presentValue: amounts,
    futureValue: fc.constantFrom(0, 0, 50_000),
    payments: fc.integer({ min: 1, max: 480 }),
    yearlyRate: fc.integer({ min: 1, max: 40_000 }).map(n => String(n / 1000)),
    frequency: fc.constantFrom(...FREQUENCIES),
    compounding: fc.constantFrom(
      "payments" as const,
      "daily" as const,
      "yearly" as const,
      "continuous" as const,
    ),
    timing: fc.constantFrom("arrears" as const, "advance" as const),
  });
  fc.assert(
    fc.property(plans, ({ presentValue, futureValue, ...plan }) => {
      const given = { ...plan, presentValue: received(presentValue), futureValue: paid(futureValue) };
      const { payment } = solved(given);
      if (payment.direction === "received" || payment.amount < 100) return;
      const back = solved({ ...given, payment, find: "presentValue", presentValue: null });
      // Half a cent of payment is worth at most half a cent a period.
      expect(Math.abs(back.presentValue.amount - presentValue)).toBeLessThanOrEqual(plan.payments / 2 + 1);
      const rate = solved({ ...given, payment, find: "yearlyRate", yearlyRate: null }).yearlyRate;
      if (rate < 0) return;
      const again = solved({ ...given, yearlyRate: rate.toFixed(8) });
      expect(Math.abs(again.payment.amount - payment.amount)).toBeLessThanOrEqual(1);
      // Half a cent on every payment comes to less than one payment where not too much interest is added.
      if (plan.payments > 60 || Number(plan.yearlyRate) / periodsPerYear(plan.frequency) > 2) return;
      const count = solved({ ...given, payment, find: "payments", payments: null });
      expect([plan.payments - 1, plan.payments]).toContain(count.last?.fullPayments);
      expect(count.last?.amount).toBeLessThan(payment.amount);
    }),
    { numRuns: 2000 },
  );
});
