// How what is asked of a repayment comes about, step by step.
import {
  type Extra,
  earlyWorking,
  keepOrPay,
  keepOrPayWorking,
  type LoanPlan,
  payoffAfter,
  payoffOn,
  payoffWorking,
  repaidEarly,
  type WorkingStep,
} from "@/core";
import { date, dealWith, quoteOf } from "./deals";

/** 38,425.00 at 6.49 % over 72 months. */
const campervan = (plan: Partial<LoanPlan> = {}) =>
  quoteOf(dealWith({ price: 3_842_500 }, { yearlyRate: "6.49", payments: 72, ...plan }));

const DATED = { signed: date("2026-12-08"), firstPayment: date("2027-01-08") };

function workingOf(early: Extra, plan: Partial<LoanPlan> = {}): WorkingStep {
  const quote = campervan(plan);
  const repaid = repaidEarly(quote, early);
  if (!repaid.ok) throw new Error(repaid.failure.sentence);
  return earlyWorking(quote, early, repaid.value);
}

const step = ({ parts }: WorkingStep, name: string): WorkingStep | undefined =>
  parts.find(part => part.name.startsWith(name)) ??
  parts.map(part => step(part, name)).find(found => found !== undefined);

describe("extra payments", () => {
  test("what is saved: interest as planned less interest with them", () => {
    const told = workingOf({ once: [{ after: 24, amount: 400_000 }] });
    expect(told).toMatchObject({ result: "1,086.25", filled: "8,068.18 − 6,981.93" });
    expect(told.remark).toContain("payment 65 instead of 72");
    // 64 × 645.74 + 79.57 = 41,406.93 and 4,000.00 less 38,425.00.
    expect(step(told, "Interest with")).toMatchObject({
      filled: "41,406.93 + 4,000.00 − 38,425.00",
      result: "6,981.93",
    });
  });

  test("a charge comes off it", () => {
    const told = workingOf(
      { once: [{ after: 24, amount: 400_000 }] },
      { earlyFee: [{ percent: "1", on: "anyEarlyMoney" }] },
    );
    expect(told).toMatchObject({ filled: "8,068.18 − 6,981.93 − 40.00", result: "1,046.25" });
  });

  test("a lower payment: what is owed by the worth of the 48 payments that are left", () => {
    const early: Extra = { once: [{ after: 24, amount: 400_000, effect: "lowerPayments" }] };
    const lower = step(workingOf(early), "Payment from payment 25 on");
    const rate = 0.0649 / 12;
    const worth = (1 - (1 + rate) ** -48) / rate;
    expect(lower).toMatchObject({
      filled: `(23,234.44) ÷ ${worth.toFixed(8)}`,
      result: "550.90",
      rounding: "rounded to the nearest 0.01, halves up",
    });
    expect(Math.round(2_323_444 / worth)).toBe(55_090);
    // Of falling payments it is the part of the principal in each that is lowered.
    const falling = workingOf(early, { kind: "equalPrincipal" });
    expect(step(falling, "Part of the principal from payment 25 on")?.filled).toMatch(/ ÷ 48\.0+$/);
    // Between two payments the next one's interest is part of what is owed on its day.
    const between: Extra = { once: [{ date: date("2028-12-20"), amount: 400_000, effect: "lowerPayments" }] };
    expect(step(workingOf(between, DATED), "Payment from payment 25 on")?.remark).toContain(
      "on 2028-12-20, with its interest up to the next payment",
    );
  });
});

describe("payoff", () => {
  test("the sum good through a day, back to the table's balance", () => {
    const quote = campervan(DATED);
    const payoff = payoffOn(quote, date("2028-03-15"));
    if (!payoff.ok) throw new Error(payoff.failure.sentence);
    const told = payoffWorking(quote, payoff.value);
    const balance = quote.schedule[14]?.balance ?? 0;
    // April's interest over the 31 days of March 8 to April 8.
    const perDay = (balance * 0.0649) / 12 / 31;
    expect(told.filled).toBe(
      `${(payoff.value.settle / 100).toLocaleString("en-US", { minimumFractionDigits: 2 })} + 10 × ${(perDay / 100).toFixed(6)}`,
    );
    const interest = step(told, "Interest since payment 15");
    expect(interest?.filled).toBe(
      `${(balance / 100).toLocaleString("en-US", { minimumFractionDigits: 2 })} × ${((0.0649 / 12 / 31) * 7).toFixed(10)}`,
    );
    expect(interest?.result).toBe((Math.round(perDay * 7) / 100).toFixed(2));
    expect(interest?.remark).toContain("shared out over its 31 days");
  });

  test("by days, on a payment's own day, without dates, with a charge of each form", () => {
    const byDays = campervan({ ...DATED, dayCount: "actual/365" });
    const payoff = payoffOn(byDays, date("2028-03-15"));
    expect(payoff.ok && step(payoffWorking(byDays, payoff.value), "Interest since")?.remark).toBe(
      "Days are counted actual/365.",
    );
    const chargeOf = (fee: NonNullable<LoanPlan["earlyFee"]>[number]) => {
      const quote = campervan({ earlyFee: [fee] });
      const after = payoffAfter(quote, 24);
      return after.ok ? step(payoffWorking(quote, after.value), "Charge") : undefined;
    };
    expect(chargeOf({ percent: "1" })).toMatchObject({ filled: "1 % of 27,234.44", result: "272.34" });
    expect(chargeOf({ interestPeriods: 2 })?.filled).toBe("2 periods of interest on 27,234.44");
    expect(chargeOf({ amount: 25_000 })).toMatchObject({ formula: "as agreed", result: "250.00" });
    const plain = campervan();
    const after = payoffAfter(plain, 24);
    const told = after.ok ? payoffWorking(plain, after.value) : undefined;
    expect(told).toMatchObject({ name: "The sum on the day", filled: "27,234.44 + 0.00" });
    expect(told && step(told, "Charge")).toBeUndefined();
  });

  test("a flat rate: the charge's part by days, as the law of the place has it earned", () => {
    const quote = quoteOf(
      dealWith({ price: 1_000_000 }, { kind: "flatRate", yearlyRate: "5", payments: 72, ...DATED }),
    );
    const payoff = payoffOn(quote, date("2028-03-15"), { place: "US" });
    if (!payoff.ok) throw new Error(payoff.failure.sentence);
    const told = payoffWorking(quote, payoff.value, "US");
    expect(step(told, "The sum on the day")?.remark).toBe(payoff.value.note);
    const interest = step(told, "Interest since");
    expect(interest?.filled).toMatch(/^\d+\.\d\d × 7\/31$/);
    const [row = 0] = (interest?.filled ?? "").split(" × ").map(Number);
    expect(interest?.result).toBe((Math.round((row * 100 * 7) / 31) / 100).toFixed(2));
  });
});

test("keep it, or pay it in: both sides, what becomes of the money, and where they tie", () => {
  const quote = campervan();
  const asked = { after: 24, amount: 400_000, yearlyReturn: { rate: "4.2", tax: "25" } };
  const told = keepOrPay(quote, asked.after, asked.amount, asked.yearlyReturn);
  if (!told.ok) throw new Error(told.failure.sentence);
  const working = keepOrPayWorking(quote, asked, told.value);
  expect(step(working, "Kept")?.filled).toBe("4,000.00 × (1 + 4.2 % × (1 − 25 %))^(48/12)");
  expect(step(working, "Kept")?.result).toBe(
    (Math.round(400_000 * 1.0315 ** 4) / 100).toLocaleString("en-US"),
  );
  expect(step(working, "Paid in")?.filled).toContain("paid off with payment 65");
  expect(step(working, "Return")).toMatchObject({ result: "8.9156 %", remark: "Before tax." });
  const all = keepOrPay(quote, 24, 9_000_000, { rate: "4.2", tax: "0" });
  const rest = all.ok && keepOrPayWorking(quote, { ...asked, amount: 9_000_000 }, all.value);
  expect(rest && step(rest, "What becomes")).toMatchObject({
    formula: "what repays principal + what is left and grows",
    filled: "27,234.44 + 62,765.56",
    result: "90,000.00",
  });
});
