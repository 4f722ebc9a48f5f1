// Extra payments that are tried, and what money could earn: in files, in a deal, and in answers.
import { priceFile } from "@/exchange/answers/price-file";
import { type DealDocument, newId } from "@/exchange/deal-document";
import type { LoanFile } from "@/exchange/kinds/loan";
import { planWords } from "@/exchange/kinds/loan/plan";
import { changePhrase, changesInWords } from "@/exchange/option-words";
import { wholeDealOf } from "@/exchange/whole-deal";
import { parseDealDocument } from "@/exchange/whole-deal/parse-document";
import { VAN } from "../features/lease-and-loan";

const OPTION = {
  structure: { price: "38425.00" },
  plan: { kind: "loan", yearlyRate: "6.49", payments: 72, frequency: "monthly", signed: "2026-11-29" },
  find: "payment",
} as const;
const FILE = { format: "kellux-deal", version: 1, currency: "USD", ...OPTION } as const;

type Answered = { early?: object; answers?: object[]; error?: string; [figure: string]: unknown };

function answered(more: object): Answered {
  const priced = priceFile(JSON.stringify({ ...FILE, ...more }), false);
  return priced.ok ? (priced.answer as Answered) : { error: priced.sentence };
}
const asked = (question: object, more: object = {}) => answered({ ...more, ask: [question] }).answers?.[0];

const EARLY = {
  each: { amount: "50.00", from: 1, to: 72 },
  yearly: { amount: "1200.00", month: 12, from: 2027 },
  once: [
    { after: 24, amount: "4000.00", then: "sooner" },
    { date: "2030-03-15", amount: "2500.00", then: "lowerPayments" },
  ],
} as const;

describe("early in a file", () => {
  test("is answered beside the quote, and changes nothing of it", () => {
    const { early, ...figures } = answered({ early: { once: [{ after: 24, amount: "4000.00" }] } });
    expect(early).toEqual({
      payments: 65,
      endDate: "2032-04-29",
      lastPayment: "79.57",
      interest: "6981.93",
      interestSaved: "1086.25",
      paymentsSaved: 7,
      payment: "645.74",
    });
    expect(figures).toEqual(answered({}));
  });

  test("lowers payments where it says so", () => {
    const once = [{ after: 24, amount: "4000.00", then: "lowerPayments" }];
    expect(answered({ early: { once } }).early).toMatchObject({
      payments: 72,
      payment: "550.90",
      lastPayment: "550.69",
      interest: "7515.75",
      paymentsSaved: 0,
    });
  });

  test("says what it is charged with, and what is not used", () => {
    const plan = { ...OPTION.plan, earlyFee: { percent: "1", on: "anyEarlyMoney" } };
    const once = [
      { after: 24, amount: "4000.00" },
      { after: 70, amount: "1.00" },
    ];
    expect(answered({ plan, early: { once } }).early).toMatchObject({
      earlyFee: "40.00",
      interestSaved: "1046.25",
      note: expect.stringContaining("after payment 70 comes after the loan has ended"),
    });
  });

  test("a plan that takes none says why, and is answered as ever", () => {
    const flat = { ...OPTION.plan, kind: "flatRate" };
    const { early, ...figures } = answered({ plan: flat, early: EARLY });
    expect(early).toEqual({ error: expect.stringContaining("A flat-rate loan takes no extra payments") });
    expect(figures).toEqual(answered({ plan: flat }));
    const lease = priceFile(JSON.stringify({ ...VAN, early: { each: "50" } }), false);
    expect(lease).toMatchObject({
      ok: true,
      answer: { early: { error: expect.stringContaining("A lease takes no extra payments") } },
    });
  });

  test.each([
    [{ each: { amount: "50.00", from: 0 } }, "early.each.from is 0; it must be the number of a payment"],
    [{ once: [{ amount: "1" }] }, "give one of date and after"],
    [{ once: [{ after: 2, date: "2028-01-01", amount: "1" }] }, "give one of date and after"],
    [{ once: [{ after: 2 }] }, "An extra payment that is tried has no amount; give it."],
    [
      { once: [{ after: 2, amount: "1", then: "later" }] },
      'early.once.0.then is "later"; it must be "sooner" or',
    ],
    [{ yearly: { amount: "1", month: 13 } }, "early.yearly.month is 13; it must be a month from 1 to 12"],
    [{ yearly: { amount: "1" } }, "give from as a date, or month with from as a year"],
    [{ yearly: { amount: "1", month: 3, from: "2027-01-01" } }, "give from as a date, or month"],
    [{ each: { amount: "1", from: 9, to: 3 } }, "payments 9 to 3 is in no order"],
    [{ later: [] }, "early.later is not known"],
  ])("%j is refused with its place", (early, sentence) => {
    const filed = parseDealDocument(JSON.stringify({ ...FILE, early }), newId);
    expect(filed.ok ? "" : filed.sentence).toContain(sentence);
    expect(JSON.stringify(answered({ early })).replaceAll('\\"', '"')).toContain(sentence);
  });
});

describe("a plan's own extra payments", () => {
  test("come in the same forms, and are said", () => {
    const { once, ...rest } = EARLY;
    const plan = { ...OPTION.plan, extra: { ...rest, once: [once[0]] } };
    const early = { ...rest, once: [once[0]] };
    expect(answered({ plan }).payments).toBe((answered({ early }).early as { payments: number }).payments);
    expect(planWords(plan as LoanFile["plan"], "USD")).toEqual([
      "extra 50.00 with payments 1 to 72",
      "extra 1,200.00 every December from 2027",
      "extra 4,000.00 after payment 24",
    ]);
  });

  test("are found with some of the payments", () => {
    const plan = { ...OPTION.plan, extra: { each: { from: 25 } } };
    const found = answered({ plan, find: "extra", from: { payments: 60 } });
    const tried = asked({ ask: "paidOffBy", payments: 60, with: { each: { from: 25 } } });
    expect(found.extra).toBe((tried as { amount: string }).amount);
    expect(answered({ plan }).error).toContain("has no amount; give it, or find it with extra");
  });

  test("lower no payment: that is tried beside the plan", () => {
    const plan = { ...OPTION.plan, extra: { once: [EARLY.once[1]] } };
    expect(answered({ plan }).error).toContain("one with lowerPayments can be tried in early");
  });
});

describe("questions", () => {
  test("paid off by a payment or a date, with each or once", () => {
    const by60 = { ask: "paidOffBy", payments: 60 };
    expect(asked({ ...by60, with: { each: {} } })).toMatchObject({ amount: "105.91", payments: 60 });
    expect(asked({ ...by60, with: { after: 24 } })).toMatchObject({ amount: "6162.44" });
    expect(asked({ ask: "paidOffBy", date: "2031-11-29", with: { date: "2028-11-29" } })).toMatchObject({
      amount: "6162.44",
      endDate: "2031-11-29",
    });
    // In place of what is tried of its kind, on top of the rest.
    expect(asked({ ...by60, with: { each: {} } }, { early: { each: "50.00" } })).toMatchObject({
      amount: "105.91",
    });
    const lump = { early: { once: [{ after: 24, amount: "4000.00" }] } };
    expect(asked({ ...by60, with: { after: 24 } }, lump)).toMatchObject({ amount: "6162.44" });
    expect(Number((asked({ ...by60, with: { each: {} } }, lump) as { amount: string }).amount)).toBeLessThan(
      105,
    );
  });

  test.each([
    [{ payments: 60, date: "2030-01-01", with: { each: {} } }, "give one of payments and date"],
    [{ payments: 60, with: {} }, "give one of each, after and date"],
    [{ payments: 60, with: { each: {}, after: 2 } }, "give one of each, after and date"],
    [{ payments: 72, with: { each: {} } }, "No extra money is needed"],
    [{ payments: 1300, with: { each: {} } }, "it must be a whole number of payments from 1 to 1200"],
  ])("%j is refused", (question, sentence) => {
    expect(answered({ ask: [{ ask: "paidOffBy", ...question }] }).error).toContain(sentence);
  });

  test("keep it or pay it in: at the deal's own return where the question has none", () => {
    const question = { ask: "keepOrPay", after: 24, amount: "4000.00" };
    const told = asked({ ...question, return: { rate: "4.2", tax: "0" } });
    expect(told).toMatchObject({ kept: "4715.53", paidIn: "5146.84", difference: "431.31", paidInEnd: 65 });
    expect(Number((told as { tieReturn: string }).tieReturn).toFixed(4)).toBe("6.6867");
    const taxed = asked(question, { return: { rate: "4.2", tax: "25" } });
    expect(Number((taxed as { tieReturn: string }).tieReturn).toFixed(4)).toBe("8.9156");
    expect(answered({ ask: [question] }).error).toContain("What the money could earn is not said");
    expect(answered({ return: { rate: "much" } }).error).toContain("return.rate is");
  });

  test("a payoff has a charge, the sum on the day and the sum good through a later one", () => {
    const plan = { ...OPTION.plan, earlyFee: [{ percent: "1", until: 24 }, { amount: "25.00" }] };
    const payoff = asked({ ask: "payoff", on: "2028-03-15", goodThrough: "2028-03-22" }, { plan }) as Record<
      string,
      string
    >;
    const [balance, interest, perDay] = [payoff.balance, payoff.interest, payoff.perDay].map(Number);
    expect(payoff).toMatchObject({ afterPayment: 15, balance: "31601.53", earlyFee: "316.02" });
    expect(payoff.perDay).toMatch(/^\d+\.\d{6}$/);
    expect(Number(payoff.settle)).toBeCloseTo((balance ?? 0) + (interest ?? 0) + 316.02, 6);
    expect(Number(payoff.settleThrough)).toBeCloseTo(
      Math.round(100 * ((balance ?? 0) + (interest ?? 0) + 7 * (perDay ?? 0))) / 100 + 316.02,
      6,
    );
  });

  test("a place whose law forbids a refund has its say", () => {
    const plan = { ...OPTION.plan, kind: "flatRate", earning: "sumOfDigits" };
    const at = (place: string) => asked({ ask: "payoff", after: 20 }, { plan, place });
    expect(at("US")).toMatchObject({
      note: expect.stringContaining("1615(b)"),
      refunds: [{ method: "actuarial" }],
    });
    expect(at("CA")).toMatchObject({ refunds: [{ method: "actuarial" }, { method: "sumOfDigits" }] });
  });
});

test("a charge for paying early is read and said, alone and in a list", () => {
  const words = (earlyFee: object) =>
    planWords({ ...OPTION.plan, earlyFee } as LoanFile["plan"], "USD").join("; ");
  expect(words({ amount: "250" })).toBe("charge for paying early 250.00");
  expect(
    words([
      { percent: "2", until: 12, on: "anyEarlyMoney" },
      { interestPeriods: 1, most: "interestLeft" },
    ]),
  ).toBe(
    "charge for paying early 2 % on any early money up to payment 12; charge for paying early 1 period of interest, no more than the interest left",
  );
  const refused = (earlyFee: object) => answered({ plan: { ...OPTION.plan, earlyFee } }).error;
  expect(refused({ amount: "1", percent: "1" })).toContain("give one of amount, percent and interestPeriods");
  expect(refused({ until: 3 })).toContain("give one of amount, percent and interestPeriods");
  expect(refused({ percent: "101" })).toContain("it can be 0 to 100 %");
  expect(refused({ percent: "1", on: "never" })).toContain("on is");
});

test("a deal goes out with what is tried and assumed, and comes back with it", () => {
  const options = [1, 2].map(() => ({ id: newId(), name: "", inputs: { ...FILE } as LoanFile }));
  const document: DealDocument = {
    status: "quoting",
    chosen: options[0]?.id ?? "",
    options,
    asides: {
      return: { rate: "4.2", tax: "25" },
      options: { [options[1]?.id ?? ""]: { early: EARLY as unknown as { each: string } } },
    },
  };
  const file = wholeDealOf(document);
  expect(file).toMatchObject({ return: { rate: "4.2", tax: "25" }, options: [{}, { early: EARLY }] });
  const back = parseDealDocument(JSON.stringify(file), newId);
  if (!back.ok) throw new Error(back.sentence);
  const { asides, options: read } = back.value.document;
  expect(asides).toEqual({
    return: { rate: "4.2", tax: "25" },
    options: { [read[1]?.id ?? ""]: { early: EARLY } },
  });
  expect(read.flatMap(({ inputs }) => Object.keys(inputs))).not.toContain("early");
  // Of version 1 both stand at its top.
  const single = parseDealDocument(
    JSON.stringify({ ...FILE, return: { rate: 4 }, early: { each: 50 } }),
    newId,
  );
  expect(single.ok && single.value.document.asides).toEqual({
    return: { rate: 4 },
    options: { [single.ok ? single.value.document.chosen : ""]: { early: { each: 50 } } },
  });
});

test("what is tried is told in the history, in words", () => {
  const option = { id: newId(), name: "", inputs: { ...FILE } as LoanFile };
  const deal: DealDocument = { status: "quoting", chosen: option.id, options: [option] };
  const tried = (early: object, rate: string): DealDocument => ({
    ...deal,
    asides: { return: { rate, tax: "25" }, options: { [option.id]: { early } } },
  });
  const first = tried({ each: "50.00" }, "4.2");
  const then = tried({ each: "50.00", once: [{ after: 24, amount: "4000.00" }] }, "4.2");
  const said = (before: DealDocument, after: DealDocument) =>
    changesInWords(before, after).map(change => changePhrase(change));
  expect(said(deal, first)).toEqual([
    "return elsewhere 4.2 % a year, 25 % of it taxed away",
    "extra payments tried extra 50.00 with every payment",
  ]);
  expect(said(first, then)).toEqual([
    "extra payments tried extra 50.00 with every payment → extra 50.00 with every payment; extra 4,000.00 after payment 24",
  ]);
  expect(said(first, deal)).toHaveLength(2);
});
