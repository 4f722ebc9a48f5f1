// Extra payments by name: figures worked out apart, and what is refused.
import {
  type Extra,
  evaluate,
  isoDate,
  type LoanPlan,
  paidOffBy,
  type RepaidEarly,
  repaidEarly,
  working,
} from "@/core";
import { date, dealWith, quoteOf, sentenceOf } from "./deals";

/** 38,425.00 at 6.49 % over 72 months. */
const campervan = (plan: Partial<LoanPlan> = {}) =>
  quoteOf(dealWith({ price: 3_842_500 }, { yearlyRate: "6.49", payments: 72, ...plan }));

function repaid(early: Extra, plan: Partial<LoanPlan> = {}): RepaidEarly {
  const answer = repaidEarly(campervan(plan), early);
  if (!answer.ok) throw new Error(answer.failure.sentence);
  return answer.value;
}

describe("same payment, shorter term", () => {
  test("4,000.00 after payment 24 ends the loan with payment 65", () => {
    expect(campervan()).toMatchObject({ payment: 64_574, finalPayment: 64_564, financeCharge: 806_818 });
    expect(repaid({ once: [{ after: 24, amount: 400_000 }] })).toMatchObject({
      payments: 65,
      lastPayment: 7_957,
      interest: 698_193,
      interestSaved: 108_625,
      paymentsSaved: 7,
    });
  });

  test("paying 700.00 ends it with payment 66", () => {
    expect(repaid({ each: { amount: 70_000 - 64_574 } })).toMatchObject({
      payments: 66,
      lastPayment: 21_219,
      interestSaved: 78_099,
    });
  });

  test("what is above what is owed is trimmed, and its row says what was asked", () => {
    const all = repaid({ once: [{ after: 70, amount: 1_000_000 }] });
    const row = all.schedule.at(-1);
    expect(all).toMatchObject({ payments: 70 });
    expect(row).toMatchObject({ kind: "extra", balance: 0, asked: 1_000_000 });
    expect(row?.payment).toBe(campervan().schedule[69]?.balance);
  });

  test("a balloon is lowered first; the end comes sooner once none is left", () => {
    const plan = { yearlyRate: "6.9", payments: 48, balloon: { amount: 900_000 } };
    const quote = quoteOf(dealWith({ price: 3_000_000 }, plan));
    const few = repaidEarly(quote, { once: [{ after: 24, amount: 200_000 }] });
    const many = repaidEarly(quote, { once: [{ after: 24, amount: 1_500_000 }] });
    expect(few).toMatchObject({ value: { payments: 48, paymentsSaved: 0 } });
    expect(few.ok && few.value.balloon).toBeLessThan(900_000 - 200_000);
    expect(many.ok && many.value.payments).toBeLessThan(48);
    expect(many).toMatchObject({ value: { balloon: 0 } });
  });
});

describe("lower payment, same end", () => {
  test("4,000.00 after payment 24 lowers the payment to 550.90", () => {
    expect(repaid({ once: [{ after: 24, amount: 400_000, effect: "lowerPayments" }] })).toMatchObject({
      payments: 72,
      solved: 55_090,
      lastPayment: 55_069,
      interest: 751_575,
    });
  });

  test("a balloon stays as it is agreed: 553.65 becomes 464.19", () => {
    const plan = { yearlyRate: "6.9", payments: 48, balloon: { amount: 900_000 } };
    const quote = quoteOf(dealWith({ price: 3_000_000 }, plan));
    const lower = repaidEarly(quote, { once: [{ after: 24, amount: 200_000, effect: "lowerPayments" }] });
    expect(quote.payment).toBe(55_365);
    expect(lower).toMatchObject({ value: { solved: 46_419, balloon: 900_000, payments: 48 } });
  });

  test("steps keep their percents, and interest-only dates just interest", () => {
    const plan: Partial<LoanPlan> = { interestOnly: 30, steps: [{ from: 50, percent: "10" }] };
    const { schedule, solved } = repaid(
      { once: [{ after: 24, amount: 400_000, effect: "lowerPayments" }] },
      plan,
    );
    const paymentOn = (number: number) => schedule.find(row => row.number === number)?.payment;
    expect(schedule.find(({ number }) => number === 30)).toMatchObject({
      kind: "interestOnly",
      principal: 0,
    });
    expect(paymentOn(31)).toBe(solved);
    expect(paymentOn(50)).toBe(Math.round(solved * 1.1));
  });

  test("where agreed amounts are worth more than is owed, nothing else is paid and they are what is left", () => {
    const plan = { yearlyRate: "6.9", payments: 48, balloon: { amount: 900_000 } };
    const quote = quoteOf(dealWith({ price: 3_000_000 }, plan));
    const lower = repaidEarly(quote, { once: [{ after: 24, amount: 1_600_000, effect: "lowerPayments" }] });
    expect(lower).toMatchObject({ value: { solved: 0 } });
    expect(lower.ok && lower.value.balloon).toBeLessThan(900_000);
  });
});

describe("when extra money comes", () => {
  const signed = date("2026-11-29");
  const daysOf = (early: Extra, plan: Partial<LoanPlan> = {}) =>
    repaid(early, { signed, firstPayment: date("2027-01-08"), ...plan })
      .schedule.filter(({ kind }) => kind === "extra")
      .map(row => isoDate(row.date ?? 0));

  test("every year on the first payment date of a month, from a year on", () => {
    const days = daysOf({ yearly: { amount: 120_000, month: 12, fromYear: 2028 } });
    expect(days).toEqual(["2028-12-08", "2029-12-08", "2030-12-08", "2031-12-08"]);
    expect(daysOf({ yearly: { amount: 100, month: 12 } })[0]).toBe("2027-12-08");
    expect(daysOf({ yearly: { amount: 100, month: 3 } })[0]).toBe("2027-03-08");
  });

  test("else on the next payment date; a month that is over before the loan has none", () => {
    const quarterly: Partial<LoanPlan> = {
      frequency: "quarterly",
      payments: 8,
      firstPayment: date("2027-02-28"),
    };
    expect(daysOf({ yearly: { amount: 100, month: 12, fromYear: 2026 } }, quarterly)).toEqual([
      "2027-02-28",
      "2028-02-28",
    ]);
    expect(daysOf({ yearly: { amount: 100, month: 6, fromYear: 2020 } }, quarterly)).toEqual([
      "2027-08-28",
      "2028-08-28",
    ]);
  });

  test("right after a payment, also without dates; a day before the loan is refused", () => {
    expect(daysOf({ once: [{ after: 24, amount: 100 }] })).toEqual(["2028-12-08"]);
    const rows = repaid({ once: [{ after: 24, amount: 100 }] }).schedule;
    expect(rows.findIndex(({ kind }) => kind === "extra")).toBe(24);
    const early = repaidEarly(campervan({ signed }), { once: [{ date: date("2026-01-01"), amount: 100 }] });
    expect(early.ok ? "" : early.failure.sentence).toContain(
      "comes before the loan; it can be from 2026-11-29",
    );
    const undated = repaidEarly(campervan(), { once: [{ date: signed, amount: 100 }] });
    expect(undated.ok ? "" : undated.failure.sentence).toContain("need the contract date");
  });

  test("what comes after the loan has ended is not used, and said", () => {
    expect(repaid({ once: [{ after: 80, amount: 100 }] }).notes).toEqual([
      "The extra of 1.00 after payment 80 comes after the loan has ended and is not used.",
    ]);
    const twice = [
      { after: 24, amount: 3_000_000 },
      { after: 30, amount: 100 },
    ];
    expect(repaid({ once: twice }).notes).toHaveLength(1);
  });

  test("with some of the payments", () => {
    const { schedule } = repaid({ each: { amount: 5_000, from: 25, to: 30 } });
    const paid = schedule.slice(0, 71).map(({ payment }) => payment - 64_574);
    expect(paid.map((extra, index) => (extra === 5_000 ? index + 1 : 0)).filter(Boolean)).toEqual([
      25, 26, 27, 28, 29, 30,
    ]);
  });

  test("a plan's own extra money comes in the same ways", () => {
    const quote = campervan({
      extra: { each: { amount: 5_000, from: 25 }, once: [{ after: 24, amount: 400_000 }] },
    });
    const tried = repaid({ each: { amount: 5_000, from: 25 }, once: [{ after: 24, amount: 400_000 }] });
    expect(quote.schedule).toEqual(tried.schedule);
    expect(quote.saved).toMatchObject({ interest: tried.interestSaved, payments: tried.paymentsSaved });
  });
});

test("what is tried comes on top of what the plan has", () => {
  const plan: Partial<LoanPlan> = { extra: { each: { amount: 2_000 } } };
  const both = repaid({ each: { amount: 3_426 } }, plan);
  expect(both.schedule).toEqual(repaid({ each: { amount: 5_426 } }).schedule);
  expect(both.interestSaved).toBeLessThan(78_099);
});

test("plans that can take no extra payments say why, and offer the payoff", () => {
  const flat = quoteOf(dealWith({}, { kind: "flatRate", yearlyRate: "4", payments: 24 }));
  const listed = quoteOf(
    dealWith(
      {},
      {
        payments: null,
        signed: date("2027-01-15"),
        datedPayments: [
          { date: date("2027-06-15"), amount: 500_000 },
          { date: date("2027-12-15"), amount: null },
        ],
      },
    ),
  );
  for (const [quote, why] of [
    [flat, "A flat-rate loan takes no extra payments"],
    [listed, "A loan of listed payments takes no extra payments"],
  ] as const) {
    const answers = [
      repaidEarly(quote, { each: { amount: 100 } }),
      paidOffBy(quote, {}, { payments: 1 }, { each: {} }),
    ];
    for (const answer of answers) {
      expect(answer.ok ? "" : answer.failure.sentence).toContain(why);
      expect(answer.ok ? "" : answer.failure.sentence).toContain(
        "Its payoff on any day can be asked for instead.",
      );
    }
  }
});

describe("paid off by", () => {
  const found = (...asked: Parameters<typeof paidOffBy>) => {
    const answer = paidOffBy(...asked);
    return answer.ok ? answer.value.amount : answer.failure.sentence;
  };

  test("payment 60 takes 105.91 with each, or 6,162.44 after payment 24", () => {
    expect(found(campervan(), {}, { payments: 60 }, { each: {} })).toBe(10_591);
    expect(found(campervan(), {}, { payments: 60 }, { after: 24 })).toBe(616_244);
  });

  test("in steps of the plan's rounding, in place of its own kind, on top of the rest", () => {
    expect(found(campervan({ roundingStep: 500 }), {}, { payments: 60 }, { each: {} })).toBe(11_000);
    const early: Extra = { each: { amount: 5_000 }, once: [{ after: 24, amount: 400_000 }] };
    expect(found(campervan(), early, { payments: 60 }, { after: 24 })).toBe(
      found(campervan(), { each: { amount: 5_000 } }, { payments: 60 }, { after: 24 }),
    );
    expect(found(campervan(), early, { payments: 60 }, { each: {} })).toBeLessThan(5_000);
  });

  test("what is not needed, and what comes too late, say so", () => {
    expect(found(campervan(), {}, { payments: 72 }, { each: {} })).toContain("No extra money is needed");
    expect(found(campervan(), {}, { payments: 60 }, { after: 61 })).toContain("it comes too late");
    expect(found(campervan(), {}, { date: date("2030-01-01") }, { each: {} })).toContain("it comes too late");
  });
});

describe("charges for early money", () => {
  const once = [{ after: 24, amount: 400_000 }];
  const charged = (...earlyFee: NonNullable<LoanPlan["earlyFee"]>) => repaid({ once }, { earlyFee });

  test("1 % of the principal paid early, taken off what is saved", () => {
    expect(charged({ percent: "1", on: "anyEarlyMoney" })).toMatchObject({
      earlyFee: 4_000,
      interest: 698_193,
      interestSaved: 108_625 - 4_000,
    });
  });

  test("of what ends the loan alone, where nothing else is said", () => {
    expect(charged({ percent: "1" }).earlyFee).toBe(0);
    const owed = campervan().schedule[23]?.balance ?? 0;
    const ended = repaid({ once: [{ after: 24, amount: 9_000_000 }] }, { earlyFee: [{ percent: "1" }] });
    expect(ended.earlyFee).toBe(Math.round(owed / 100));
  });

  test("two periods' interest on what is paid early: 400,000 × 6.49 % ÷ 12 × 2", () => {
    expect(charged({ interestPeriods: 2, on: "anyEarlyMoney" }).earlyFee).toBe(
      Math.round((400_000 * 0.0649 * 2) / 12),
    );
  });

  test("the first of several whose time is not over counts", () => {
    const fees = [
      { amount: 9_900, until: 23, on: "anyEarlyMoney" },
      { amount: 7_700, until: 24, on: "anyEarlyMoney" },
      { amount: 5_500, on: "anyEarlyMoney" },
    ] as const;
    expect(charged(...fees).earlyFee).toBe(7_700);
    expect(charged(fees[0], fees[2]).earlyFee).toBe(5_500);
    expect(charged(fees[0]).earlyFee).toBe(0);
  });

  test("no more than the interest still to come, where it says so", () => {
    const late = repaid(
      { once: [{ after: 71, amount: 50_000 }] },
      { earlyFee: [{ amount: 9_900, on: "anyEarlyMoney", most: "interestLeft" }] },
    );
    expect(late.earlyFee).toBe(campervan().schedule[71]?.interest);
  });

  test("between two payments the interest of the days that have passed is no more to come", () => {
    const plan: Partial<LoanPlan> = {
      signed: date("2026-11-29"),
      firstPayment: date("2027-01-08"),
      earlyFee: [{ amount: 990_000, on: "anyEarlyMoney", most: "interestLeft" }],
    };
    const { schedule } = campervan(plan);
    const still = schedule.slice(71).reduce((sum, { interest }) => sum + interest, 0);
    // 20 of the 30 days between November 8 and December 8, 2032.
    const passed = Math.round(((schedule[71]?.interest ?? 0) * 20) / 30);
    const late = repaid({ once: [{ date: date("2032-11-28"), amount: 10_000 }] }, plan);
    expect(late.earlyFee).toBe(still - passed);
  });

  test("the plan's own extra money is charged, too: off what it saves, and named in its working", () => {
    const extra: Extra = { once: [{ after: 24, amount: 400_000 }] };
    const quote = campervan({ extra, earlyFee: [{ percent: "1", on: "anyEarlyMoney" }] });
    expect(quote.saved).toMatchObject({ interest: 108_625 - 4_000, earlyFee: 4_000, payments: 7 });
    expect(quote.totalInterest).toBe(698_193);
    expect(working(quote, "savedInterest").filled).toBe("8,068.18 − 6,981.93 − 40.00");
    // What is tried besides is charged for itself alone.
    const more = repaidEarly(quote, { once: [{ after: 30, amount: 100_000 }] });
    expect(more).toMatchObject({ value: { earlyFee: 1_000 } });
    expect(campervan({ extra, earlyFee: [{ percent: "1" }] }).saved).toEqual({
      interest: 108_625,
      payments: 7,
      finalDateWithout: null,
    });
  });

  test("on money with each payment: of the last no more than is above what it asks for", () => {
    const each = repaid({ each: { amount: 5_426 } }, { earlyFee: [{ percent: "100", on: "anyEarlyMoney" }] });
    // Payments 1 to 65 have the whole extra; the last, 212.19, is below the planned one.
    expect(each.earlyFee).toBe(65 * 5_426);
  });

  test("none of it is in the finance charge or the APR", () => {
    const plan: Partial<LoanPlan> = { earlyFee: [{ amount: 9_900, on: "anyEarlyMoney" }] };
    const { deal: _d, filled: _f, ...plain } = campervan();
    expect(campervan(plan)).toMatchObject(plain);
  });

  test("a flat-rate loan cannot be charged periods of interest", () => {
    const plan: Partial<LoanPlan> = { kind: "flatRate", payments: 24, earlyFee: [{ interestPeriods: 2 }] };
    expect(sentenceOf(dealWith({}, plan))).toContain("has no interest on what is owed");
    expect(evaluate(dealWith({}, { ...plan, earlyFee: [{ amount: 100 }] })).ok).toBe(true);
  });
});
