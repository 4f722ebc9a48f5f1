import {
  costOfCredit,
  endLeaseEarly,
  evaluate,
  evaluateLease,
  type LeaseQuote,
  type LoanQuote,
  leaseEffectiveRate,
} from "@/core";
import { type LeaseFile, readLease } from "@/exchange/kinds/lease";
import { type LoanFile, readLoan } from "@/exchange/kinds/loan";

// Cases that were once answered otherwise; what is right was worked out apart.

type Part<File> = Partial<Record<keyof File, unknown>>;
const base = { format: "kellux-deal", version: 1, currency: "USD", find: "payment" };

function loan(structure: object, plan: object, more: Part<LoanFile> = {}): LoanQuote {
  const file = { ...base, structure, plan: { kind: "loan", frequency: "monthly", ...plan }, ...more };
  const deal = readLoan(file as unknown as LoanFile);
  if (!deal.ok) throw new Error(deal.failure.sentence);
  const answer = evaluate(deal.value);
  if (!answer.ok) throw new Error(answer.failure.sentence);
  return answer.value;
}

function lease(structure: object, plan: object, more: Part<LeaseFile> = {}): LeaseQuote {
  const read = readLease({
    ...base,
    structure,
    plan: { kind: "lease", frequency: "monthly", reckoning: "moneyFactor", ...plan },
    ...more,
  } as unknown as LeaseFile);
  if (!read.ok) throw new Error(read.failure.sentence);
  const answer = evaluateLease(read.value);
  if (!answer.ok) throw new Error(answer.failure.sentence);
  return answer.value;
}

const amount = (minor: number) => (minor / 100).toFixed(2);

/** Whether no number right after a found one is right, too: up to so many further on. */
function expectLast(found: number, asked: number, measure: (minor: number) => number, step = 1): void {
  expect(measure(found)).toBeLessThanOrEqual(asked);
  const right = Array.from({ length: 200 }, (_, k) => found + step * (k + 1)).filter(
    minor => minor >= 0 && measure(minor) <= asked,
  );
  expect(right).toEqual([]);
}

test("what falls with the first payment is due at signing only where that payment is", () => {
  const fees = [{ name: "Opening", amount: "600", financed: false, with: "firstPayment" }];
  const down = { dueAtSigning: "500" };
  const plan = { yearlyRate: "6", payments: 12 };
  expect(loan({ price: "20000", fees, down }, { ...plan, prepaidCharge: "150" }).down).toBe(35_000);
  // In advance it is: 500.00 then do not pay for it.
  expect(() => loan({ price: "20000", fees, down }, { ...plan, timing: "advance" })).toThrow(/due that day/);
  // An extra of the day of signing is not the first payment.
  const extra = { once: [{ date: "2026-11-29", amount: "1000" }] };
  const dated = { ...plan, signed: "2026-11-29", firstPayment: "2026-12-29", extra };
  expect(loan({ price: "20000", fees }, dated).dueAtSigning.items).toEqual([
    { figure: "payment", name: "extra payment", amount: 100_000 },
  ]);
});

test("what falls with the last payment is due at signing where it is the only one, of that day", () => {
  const fees = [{ name: "Closing", amount: "25", financed: false, with: "lastPayment" }];
  const plan = { yearlyRate: "6", payments: 1, timing: "advance" };
  expect(loan({ price: "3000", fees }, plan).dueAtSigning.total).toBe(302_500);
  expect(loan({ price: "3000", fees }, { ...plan, payments: 2 }).dueAtSigning.total).toBeLessThan(160_000);
});

describe("a lease's cash down in percent of the total is the loan's", () => {
  const down = { percent: "10", of: "total" };
  const plan = { moneyFactor: "0.002", payments: 36, residual: { amount: "15000" } };
  const title = [{ name: "Title", amount: "1000", financed: false }];

  test.each<[string, object, object, number]>([
    ["a fee at signing counts", { price: "30000", fees: title, down }, {}, 310_000],
    [
      "a tax on the price counts",
      { price: "30000", down },
      { taxes: [{ name: "Tax", rate: "10", on: ["price"] }] },
      330_000,
    ],
    [
      "a tax on payments does not",
      { price: "30000", down },
      { taxes: [{ name: "Tax", rate: "10", on: ["payment"] }] },
      300_000,
    ],
    [
      "a tax on the reduction does not",
      { price: "30000", down },
      { taxes: [{ name: "Tax", rate: "10", on: ["reduction"] }] },
      300_000,
    ],
    [
      "the acquisition fee counts, financed or not",
      { price: "30000", down },
      { acquisitionFee: { amount: "500", financed: false } },
      305_000,
    ],
    [
      "what falls with payments does not, nor what is reckoned from the cost",
      {
        price: "30000",
        down,
        fees: [
          { name: "Account", amount: "5", financed: false, with: "eachPayment" },
          { name: "Origination", percentOf: "loanAmount", percent: "2" },
        ],
      },
      {},
      300_000,
    ],
  ])("%s", (_, structure, more, cash) => {
    expect(lease(structure, { ...plan, ...more }).down).toBe(cash);
  });

  test("a loan of the same lines has the same", () => {
    const structure = { price: "30000", fees: title, down };
    const taxes = [{ name: "Tax", rate: "10", on: ["price", "fees"] }];
    const asLoan = loan({ ...structure, taxes }, { yearlyRate: "6", payments: 36 }).down;
    expect(lease(structure, { ...plan, taxes }).down).toBe(asLoan);
  });
});

describe("what is found is the last on the right side", () => {
  const all = (percent: string) => [{ name: "Fee", percentOf: "totalOfPayments", percent, financed: false }];

  test.each([160_007, 177_777, 190_001])(
    "a price from %d due at signing, with 2.5 % of all payments paid then",
    due => {
      const structure = { down: { amount: "1000" }, fees: all("2.5") };
      const plan = { yearlyRate: "6.49", payments: 72 };
      const { price } = loan(structure, plan, { find: "price", from: { dueAtSigning: amount(due) } });
      expectLast(price, due, minor => loan({ ...structure, price: amount(minor) }, plan).dueAtSigning.total);
    },
  );

  test.each([160_007, 178_015, 233_333])(
    "a cash down from %d at signing, with 1.803 %% of all payments",
    due => {
      const structure = { price: "20000", fees: all("1.803") };
      const plan = { yearlyRate: "6.49", payments: 72 };
      const { down } = loan({ ...structure, down: { dueAtSigning: amount(due) } }, plan);
      const measure = (minor: number) =>
        loan({ ...structure, down: { amount: amount(minor) } }, plan).dueAtSigning.total;
      expectLast(down, due, measure);
    },
  );

  test.each([160_007, 145_678, 211_113])(
    "a lease's cash from %d at signing, with a deposit rounded up to 0.05",
    due => {
      const plan = {
        moneyFactor: "0.00225",
        payments: 36,
        inAdvance: 1,
        residual: { amount: "15000" },
        securityDeposit: { roundedUpTo: "0.05" },
      };
      const found = lease({ price: "30000" }, plan, { find: "down", from: { dueAtSigning: amount(due) } });
      const measure = (minor: number) =>
        lease({ price: "30000", down: { amount: amount(minor) } }, plan).dueAtSigning.total;
      expectLast(found.down, due, measure);
    },
  );

  test.each([4_199_999, 4_033_337])("a lease's residual from %d in all if it is bought", total => {
    const plan = { moneyFactor: "0.00225", payments: 36, inAdvance: 1 };
    const found = lease({ price: "36000" }, plan, {
      find: "residual",
      from: { totalIfBought: amount(total) },
    });
    const measure = (minor: number) =>
      lease({ price: "36000" }, { ...plan, residual: { amount: amount(minor) } }).totalIfBought;
    expectLast(found.residual, total, measure);
  });

  test.each([40_000, 51_234, 61_507])(
    "a lease's price from a payment of %d, with percents down and beside it",
    payment => {
      const structure = {
        down: { percent: "22", of: "total" },
        extras: [{ name: "Cover", percentOf: "price", percent: "3.45" }],
      };
      const plan = { moneyFactor: "0.00225", payments: 36, residual: { percent: "50", of: "price" } };
      const found = lease(structure, { ...plan, payment: amount(payment) }, { find: "price" });
      expectLast(found.price, payment, minor => lease({ ...structure, price: amount(minor) }, plan).payment);
    },
  );
});

test("where more cash leaves less due at signing, the smallest cash is found, and that is said", () => {
  const plan = {
    moneyFactor: "0.00225",
    payments: 12,
    inAdvance: 12,
    residual: { amount: "5000" },
    taxes: [{ name: "Tax", rate: "19", on: ["payment"] }],
  };
  const dueWith = (minor: number) =>
    lease({ price: "16000", down: { amount: amount(minor) } }, plan).dueAtSigning.total;
  expect([0, 500_000].map(dueWith)).toEqual([1_376_473, 1_265_408]);
  const found = lease({ price: "16000" }, plan, { find: "down", from: { dueAtSigning: "12000" } });
  expect(found.down).toBe(794_458);
  expect(found.note).toContain("7,944.58 is the smallest");
  expectLast(found.down, 1_200_000, dueWith, -1);
});

test("payments that are fewer than a balloon asks for are found, with a percent of all payments financed", () => {
  const fees = [{ name: "Fee", percentOf: "totalOfPayments", percent: "10" }];
  const plan = { yearlyRate: "10.48", frequency: "everyTwoWeeks", balloon: { amount: "1717.99" } };
  const found = loan({ price: "1678.18", fees }, { ...plan, payment: "11.81" }, { find: "payments" });
  expect([found.payments, found.payment]).toEqual([40, 1181]);
  const payments = [39, 40].map(
    count => loan({ price: "1678.18", fees }, { ...plan, payments: count }).payment,
  );
  expect(payments[0]).toBeGreaterThan(1181);
  expect(payments[1]).toBeLessThanOrEqual(1181);
});

test("a payment below the first interest is refused for that, without a search", () => {
  const fees = [{ name: "Fee", percentOf: "totalOfPayments", percent: "3", financed: false }];
  const ask = () =>
    loan({ price: "20000", fees }, { yearlyRate: "6.49", payment: "100" }, { find: "payments" });
  // 20,000 × 6.49 % ÷ 12
  expect(ask).toThrow("A payment of 100.00 does not cover the first interest of 108.17");
});

test("a personal loan's cash down is found from what is paid out", () => {
  const fees = [{ name: "Origination", percentOf: "loanAmount", percent: "3", financed: false }];
  const structure = { price: "5000", purpose: "Kitchen refit", fees };
  const found = loan(
    structure,
    { yearlyRate: "6.49", payments: 24 },
    { find: "down", from: { cashReceived: "4000" } },
  );
  expect([found.down, found.cashReceived]).toEqual([100_000, 400_000]);
});

describe("without dates a period is its part of a year", () => {
  test.each([1, 2, 3, 24])("%d payments twice a month at 6 %% have one effective rate", payments => {
    const cost = costOfCredit(
      loan({ price: "10000" }, { yearlyRate: "6", frequency: "twiceAMonth", payments }),
    );
    // (1 + 0.06 ÷ 24)^24 − 1, but for the cents.
    expect(cost.ok && cost.value.effectiveRate).toBeCloseTo(100 * ((1 + 0.06 / 24) ** 24 - 1), 2);
  });

  test("a lease's is the yearly rate at which its payments are worth what is got", () => {
    const quote = lease(
      { price: "20000" },
      {
        moneyFactor: "0.0029",
        frequency: "twiceAMonth",
        payments: 48,
        residual: { amount: "9000" },
        purchaseFee: "300",
      },
    );
    const rate = leaseEffectiveRate(quote);
    if (!rate.ok) throw new Error(rate.failure.sentence);
    const growth = 1 + rate.value / 100;
    const worth = (parts: number, minor: number) => minor * growth ** (-parts / 24);
    let paid = worth(48, 930_000);
    for (let part = 1; part <= 48; part++) paid += worth(part, quote.basePayment);
    expect(paid).toBeCloseTo(2_000_000, 2);
  });

  test("one weekly payment takes a fifty-second of a year", () => {
    const quote = lease(
      { price: "20000" },
      { moneyFactor: "0.0029", frequency: "weekly", payments: 1, residual: { amount: "19000" } },
    );
    const rate = leaseEffectiveRate(quote);
    const paid = quote.basePayment + 1_900_000;
    expect(rate.ok && rate.value).toBeCloseTo(100 * ((paid / 2_000_000) ** 52 - 1), 6);
  });
});

test("a lease ends early after the payments that are made at signing, and it is said after which", () => {
  const plan = { moneyFactor: "0.0029", payments: 6, residual: { amount: "9000" } };
  const after = (inAdvance: number, count: number) => {
    const end = endLeaseEarly(lease({ price: "20000" }, { ...plan, inAdvance }), count);
    return end.ok ? end.value.paymentsLeft : end.failure.sentence;
  };
  expect(after(3, 2)).toBe(
    "The lease has 6 payments, 3 of them at signing; it can end early after 3 to 6 of them.",
  );
  expect(after(3, 3)).toBe(3);
  expect(after(1, 0)).toBe("The lease has 6 payments; it can end early after 1 to 6 of them.");
  expect(after(6, 2)).toBe("The lease is paid at once; it can end early after that payment, number 1.");
});

describe("an end date with extra money", () => {
  const plan = { yearlyRate: "6.49", signed: "2026-11-29" };
  const until = (extra: object) =>
    loan({ price: "30000" }, { ...plan, extra }, { find: "payments", from: { endDate: "2029-11-29" } });
  const lump = { date: "2028-11-29", amount: "5000" };

  test.each([
    [{ each: "100" }, 40, 83_607],
    [{ each: "100", once: [lump] }, 50, 68_639],
  ])("%j: the most payments with which it ends by then", (extra, payments, payment) => {
    const quote = until(extra);
    expect([quote.plannedPayments, quote.payment]).toEqual([payments, payment]);
    const over = (count: number) =>
      loan({ price: "30000" }, { ...plan, extra, payments: count }).finalDate ?? 0;
    expect(over(payments)).toBe(quote.finalDate);
    expect(over(payments + 1)).toBeGreaterThan(over(payments));
  });
});
