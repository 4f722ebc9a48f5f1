// Random lenders' programs and what is known of deals, drawn so that about as many limits hold as are broken.
import fc from "fast-check";
import type { DealFacts, LeaseProgram, LoanProgram, RateRow } from "@/core/programs";

const maybe = <Value>(value: fc.Arbitrary<Value>) =>
  fc.oneof({ weight: 3, arbitrary: fc.constant(null) }, { weight: 1, arbitrary: value });
const mostly = <Value>(value: fc.Arbitrary<Value>) =>
  fc.oneof({ weight: 1, arbitrary: fc.constant(null) }, { weight: 4, arbitrary: value });

const hundredths = (least: number, most: number) =>
  fc.integer({ min: least * 100, max: most * 100 }).map(each => String(each / 100));

const worths = fc.constantFrom("invoice", "bookValue", "listPrice", "price");
const lent = fc.constantFrom("all", "vehicle");

/** Rows that do not overlap: terms one after another, each for every score, or above and below one. */
const rates = (rate: fc.Arbitrary<string>, spread: fc.Arbitrary<string>): fc.Arbitrary<RateRow[]> =>
  fc
    .record({
      ends: fc.uniqueArray(fc.integer({ min: 6, max: 84 }), { minLength: 1, maxLength: 3 }),
      first: fc.integer({ min: 1, max: 12 }),
      score: maybe(fc.integer({ min: 560, max: 760 })),
      upper: fc.boolean(),
      buyRates: fc.array(rate, { minLength: 6, maxLength: 6 }),
      mostSpread: maybe(spread),
    })
    .map(({ ends, first, score, upper, buyRates, mostSpread }) => {
      const sorted = [...ends].sort((one, other) => one - other).filter(end => end >= first);
      const spans = (sorted.length > 0 ? sorted : [first]).map((to, place) => ({
        from: place === 0 ? first : (sorted[place - 1] ?? 0) + 1,
        to,
      }));
      return spans.flatMap((span, place): RateRow[] => {
        const [low, high] = [buyRates[2 * place] ?? "5", buyRates[2 * place + 1] ?? "6"];
        if (score === null) return [{ ...span, leastScore: null, mostScore: null, buyRate: low, mostSpread }];
        const above = { ...span, leastScore: score, mostScore: null, buyRate: low, mostSpread };
        return upper
          ? [above]
          : [above, { ...span, leastScore: null, mostScore: score - 1, buyRate: high, mostSpread }];
      });
    });

const common = {
  lender: fc.constant("Quillon Mutual"),
  name: fc.constant("Program"),
  currency: fc.constant("USD"),
  from: maybe(fc.integer({ min: 20_700, max: 20_800 })),
  to: maybe(fc.integer({ min: 20_700, max: 20_800 })),
  condition: maybe(fc.constantFrom("new", "used", "demonstrator")),
  mostYears: fc.constant(null),
  mostYearsAtEnd: fc.constant(null),
  mostDistance: maybe(fc.integer({ min: 0, max: 100_000 })),
  unit: fc.constant(null),
  leastAmount: maybe(fc.integer({ min: 0, max: 2_000_000 })),
  mostAmount: maybe(fc.integer({ min: 500_000, max: 6_000_000 })),
  mostLoanTo: fc.array(fc.record({ percent: hundredths(40, 140), of: worths, what: lent }), { maxLength: 2 }),
  leastDown: maybe(hundredths(0, 30)),
  mostExtras: maybe(fc.record({ percent: hundredths(0, 20), of: worths })),
  mostPaymentToIncome: maybe(hundredths(5, 40)),
  mostDebtToIncome: maybe(hundredths(20, 60)),
  firstPaymentWithin: fc.constant(null),
  adjust: fc.array(
    fc.oneof(
      fc.record({
        when: fc.constant("loanTo" as const),
        above: hundredths(40, 140),
        of: worths,
        what: lent,
        add: hundredths(0, 2),
      }),
      fc.record({
        when: fc.constant("distance" as const),
        above: fc.integer({ min: 0, max: 100_000 }),
        add: hundredths(0, 2),
      }),
    ),
    { maxLength: 2 },
  ),
  notWith: fc.subarray(["rebate", "Service  CONTRACT", "title"], { maxLength: 1 }),
  reserve: fc.constant(null),
} as const;

const fewer = <Value>(value: fc.Arbitrary<readonly Value[]>) =>
  fc.oneof({ weight: 2, arbitrary: fc.constant<readonly Value[]>([]) }, { weight: 1, arbitrary: value });

export const loanPrograms: fc.Arbitrary<LoanProgram> = fc
  .record({
    ...common,
    mostLoanTo: fewer(common.mostLoanTo),
    adjust: fewer(common.adjust),
    notWith: fewer(common.notWith),
    rates: rates(hundredths(0, 20), hundredths(0, 3)),
    mostRate: maybe(hundredths(4, 20)),
    rateStep: maybe(fc.constantFrom("0.01", "0.05", "0.125", "0.25")),
    kind: fc.constantFrom("loan", "loan", "balloon", "flatRate"),
    balloon: maybe(
      fc
        .record({
          to: fc.integer({ min: 6, max: 84 }),
          most: hundredths(0, 40),
          of: fc.constantFrom("listPrice", "price"),
        })
        .map(row => [{ from: 1, ...row }]),
    ),
    fee: maybe(
      fc.record({
        amount: fc.integer({ min: 0, max: 80_000 }),
        paidBy: fc.constantFrom("customer", "dealer"),
        isFinanceCharge: fc.boolean(),
      }),
    ),
  })
  .map(program => program as LoanProgram);

export const leasePrograms: fc.Arbitrary<LeaseProgram> = fc
  .record({
    ...common,
    mostLoanTo: fewer(common.mostLoanTo),
    adjust: fc.constant([]),
    notWith: fewer(common.notWith),
    isFactor: fc.boolean(),
    factors: rates(
      fc.integer({ min: 0, max: 500 }).map(n => (n / 100_000).toFixed(5)),
      fc.integer({ min: 0, max: 80 }).map(n => (n / 100_000).toFixed(5)),
    ),
    yearly: rates(hundredths(0, 15), hundredths(0, 3)),
    residuals: fewer(
      fc
        .record({
          percents: fc.array(hundredths(20, 70), { minLength: 2, maxLength: 2 }),
          to: fc.integer({ min: 12, max: 60 }),
        })
        .map(({ percents, to }) => [
          { from: 1, to, distance: 12_000, percent: percents[0] ?? "50" },
          { from: 1, to, distance: 20_000, percent: percents[1] ?? "45" },
        ]),
    ),
    acquisitionFee: maybe(fc.integer({ min: 0, max: 100_000 })),
    dispositionFee: maybe(fc.integer({ min: 0, max: 50_000 })),
    purchaseFee: maybe(fc.integer({ min: 0, max: 50_000 })),
    mostCostToListPrice: maybe(hundredths(70, 130)),
  })
  .map(({ isFactor, factors, yearly, ...program }) => ({
    ...program,
    kind: "lease",
    reckoning: isFactor ? "moneyFactor" : "levelYield",
    rates: isFactor ? factors : yearly,
    mostRate: null,
    rateStep: isFactor ? "0.00001" : "0.01",
    beyond: null,
  })) as fc.Arbitrary<LeaseProgram>;

export const facts: fc.Arbitrary<DealFacts> = fc.record({
  day: fc.integer({ min: 20_700, max: 20_800 }),
  condition: mostly(fc.constantFrom("new", "used")),
  modelYear: fc.constant(2026),
  distance: mostly(fc.integer({ min: 0, max: 120_000 })),
  unit: fc.constant(null),
  invoice: mostly(fc.integer({ min: 400_000, max: 6_000_000 })),
  bookValue: mostly(fc.integer({ min: 400_000, max: 6_000_000 })),
  listPrice: mostly(fc.integer({ min: 500_000, max: 7_000_000 })),
  score: mostly(fc.integer({ min: 520, max: 800 })),
  income: mostly(fc.integer({ min: 100_000, max: 1_000_000 })),
  housing: mostly(fc.integer({ min: 0, max: 200_000 })),
  debts: mostly(fc.integer({ min: 0, max: 150_000 })),
  paidOff: maybe(fc.integer({ min: 0, max: 60_000 })),
});

export const spreads = hundredths(0, 3);
