// What a way to pay comes to where it is other than usual, worked out by hand.
import { costLines, keptFor, staysCheaperFrom } from "@/core/horizon";
import { signChanges } from "@/core/horizon/real-roots";
import { dealWith, withPlan } from "../deals";
import { answered, KEEP_FOR, kept, LEASE, LOAN } from "./worked-deal";

test("cash leaves out what belongs to the credit, and its taxes follow from what is left", () => {
  const charge = { isTaxable: true, paid: "financed" as const, isFinanceCharge: false };
  const deal = dealWith(
    {
      price: 4_000_000,
      down: { amount: 400_000 },
      fees: [
        { ...charge, name: "Title", amount: { minor: 20_000 } },
        { ...charge, name: "Origination", amount: { percent: "1", of: "loanAmount" } },
        { ...charge, name: "Credit report", amount: { minor: 5_000 }, isFinanceCharge: true },
      ],
      extras: [{ ...charge, name: "Awning", amount: { minor: 100_000 } }],
      rebates: [{ name: "Maker's rebate", amount: 50_000, isBeforeTax: false }],
      tradeIns: [{ allowance: 300_000, owed: 100_000 }],
      taxes: [
        {
          name: "County tax",
          rate: "5",
          on: ["price", "fees", "extras"],
          tradeInCredit: true,
          rebateCredit: false,
          rounding: "nearest",
          isFinanced: true,
        },
      ],
    },
    { ...LOAN.plan },
  );
  const { cash } = kept({ cashRebate: { amount: 25_000, from: "maker" } }, [deal]);
  // 5 % of 40,000.00 + 200.00 + 1,000.00 − 3,000.00.
  expect(cash).toEqual({
    price: 4_000_000,
    charges: 120_000,
    taxes: 191_000,
    rebates: 50_000,
    cashRebate: 25_000,
    total: 4_236_000,
    taxesFrom: "option",
  });
  const typed = kept({ cash: { ...KEEP_FOR.cash, taxes: 200_000 } }, [deal]).cash;
  expect(typed.total).toBe(4_270_000);
});

test("of a lease the taxes are those of the first loan, else the house's", () => {
  const tax = {
    name: "County tax",
    rate: "6.25",
    on: ["price" as const],
    tradeInCredit: false,
    rebateCredit: false,
    rounding: "nearest" as const,
    isFinanced: true,
  };
  const taxed = dealWith({ price: 4_000_000, down: { amount: 400_000 }, taxes: [tax] }, { ...LOAN.plan });
  expect(kept({}, [LEASE, taxed]).cash).toMatchObject({ taxes: 250_000, taxesFrom: "loan" });
  expect(kept({}, [LEASE]).cash).toMatchObject({ taxes: 0, taxesFrom: "none" });
  const asked = {
    quotes: [answered(LEASE)],
    chosen: 0,
    keepFor: KEEP_FOR,
    usualTaxes: [{ ...tax, rate: "5" }],
  };
  const found = keptFor(asked);
  expect(found.ok && found.value.cash).toMatchObject({ taxes: 200_000, taxesFrom: "house" });
});

test("a lease that ends early settles with its lessor, and what it brings beyond is whose it was agreed to be", () => {
  // After 24 months 26,112.84 are owed in its table; the vehicle lists at 66 % of 42,000.00 by then.
  const quote = answered(LEASE);
  if (quote.kind !== "lease") throw new Error("It is a lease.");
  const balance = quote.schedule.find(({ period }) => period === 24)?.balance ?? 0;
  const paid = 25 * 73_548;
  const beyond = 3_000 * 22 * 2;
  const early = (surplus: "lessor" | "customer") =>
    kept({ months: 24 }, [{ ...LEASE, plan: { ...LEASE.plan, surplus, earlyFee: 35_000 } }]);
  const ended = (found: ReturnType<typeof kept>) => {
    const [own] = found.ways.filter(({ option }) => option === 0);
    return own?.how === "endedEarly" ? own.net : own?.instead?.net;
  };
  const value = 0.66 * 4_200_000;
  expect(balance + 35_000).toBeLessThan(value);
  expect(ended(early("lessor"))).toBe(paid + beyond);
  expect(ended(early("customer"))).toBe(paid + beyond + balance + 35_000 - value);
});

test("what a lessor gets of a value counts where it settles, and nowhere else", () => {
  const of = (realized: string) =>
    kept({ months: 12, value: { ...KEEP_FOR.value, realized } }, [LEASE]).ways.filter(
      ({ option }) => option === 0,
    );
  const [all] = of("100");
  const [some] = of("50");
  const boughtOut = (way: typeof all) => (way?.how === "boughtOut" ? way.net : way?.instead?.net);
  const ended = (way: typeof all) => (way?.how === "endedEarly" ? way.net : way?.instead?.net);
  expect(boughtOut(all)).toBe(boughtOut(some));
  expect((ended(some) ?? 0) - (ended(all) ?? 0)).toBeGreaterThan(1_000_000);
});

test("a balloon that the vehicle can be given back for is an end of its own", () => {
  const returnable = { fee: 25_000, distance: { perYear: 12_000, unit: "mi", beyond: "0.10" } };
  const loan = withPlan(LOAN, { payments: 36, balloon: { amount: 1_500_000, returnable } });
  const both = kept({}, [loan]);
  const returned = both.ways.find(({ how }) => how === "returned");
  const quote = answered(loan);
  if (quote.kind === "lease") throw new Error("It is a loan.");
  const paid = quote.totalCost - 1_500_000;
  // 3,000 miles a year beyond, three years, ten cents each.
  expect(returned?.net).toBe(paid + 25_000 + 90_000);
  expect(both.ways.find(({ option, end }) => option === 0 && end === "sold")?.net).toBe(
    paid + 1_500_000 - 2_132_000,
  );
  // Later it is bought and kept, unless it was handed back.
  expect(kept({ months: 48 }, [loan]).ways.map(({ end }) => end)).toEqual(["sold", "sold"]);
  expect(kept({ months: 48, after: ["handBack"] }, [loan]).ways.map(({ how }) => how)).toEqual([
    "sold",
    "handedBack",
  ]);
});

test("what cannot be kept says why, and leaves the others", () => {
  const personal = dealWith(
    { price: 1_000_000, personal: { purpose: "A piano", payoffs: [] } },
    { ...LOAN.plan },
  );
  const elsewhere = {
    ...LEASE,
    plan: { ...LEASE.plan, distance: { perYear: 1, unit: "leagues", beyond: "1", expected: null } },
  };
  const found = kept({ after: [undefined, "buy", "buy", "again"] }, [LOAN, personal, elsewhere, LOAN]);
  expect(found.leftOut.map(({ option, failure }) => [option, failure.sentence])).toEqual([
    [1, "A personal loan has no vehicle; how long one is kept is not asked of it."],
    [2, "Its distance is in leagues, and what is driven in mi; give both in one unit, mi or km."],
    [3, "A loan is not signed again after its end; leave that to leases."],
  ]);
  const undated = keptFor({
    quotes: [answered(withPlan(LOAN, { signed: null }))],
    chosen: 0,
    keepFor: KEEP_FOR,
  });
  expect(undated).toMatchObject({ ok: false, failure: { figure: "signed" } });
  expect(keptFor({ quotes: [null], chosen: 0, keepFor: KEEP_FOR }).ok).toBe(false);
});

test("a return that ties is the one before tax", () => {
  const { ties } = kept({ yearlyReturn: { rate: "4", tax: "25" } });
  expect(ties[0]?.yearlyReturn).toBeCloseTo(6.686553913 / 0.75, 6);
});

test("flows whose sum changes its sign more than once have every place found, the smallest first", () => {
  // Worth nothing at 10 % and at 20 %: (1 − 1.1 v)(1 − 1.2 v).
  const twice = signChanges([
    { time: 0, amount: 100 },
    { time: 1, amount: -230 },
    { time: 2, amount: 132 },
  ]);
  expect(twice.map(place => Math.expm1(place))).toEqual([expect.closeTo(0.1, 9), expect.closeTo(0.2, 9)]);
  expect(
    signChanges([
      { time: 0, amount: 1 },
      { time: 1, amount: 1 },
    ]),
  ).toEqual([]);
});

test("a way stays cheaper from the first month after which it always is, as far as both lead", () => {
  expect(staysCheaperFrom([5, 3, 5, 3, 2], [4, 4, 4, 4, 4])).toBe(4);
  expect(staysCheaperFrom([1, 1, null], [2, 2, 0])).toBe(1);
  expect(staysCheaperFrom([5, 5], [4, 4])).toBeNull();
  const lines = costLines({ quotes: [LOAN, LEASE].map(answered), chosen: 0, keepFor: KEEP_FOR }, 120);
  if (!lines.ok) throw new Error(lines.failure.sentence);
  expect(lines.value.lines.map(({ net }) => net.length)).toEqual([120, 120, 120, 120]);
  // Returned, it leads no further than its end.
  expect(lines.value.lines[2]?.net[36]).toBeNull();
});
