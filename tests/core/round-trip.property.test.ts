// Finding: what was left out is found again, the last on the right side; and what is refused has no answer.
import fc from "fast-check";
import {
  evaluate,
  type FoundFigure,
  formatAmount,
  type KnownFigure,
  type LoanDeal,
  type LoanQuote,
} from "@/core";
import { quoteJson } from "@/exchange/kinds/loan/quote-json";
import { runs } from "../runs";
import { owedOf, withPlan, withStructure } from "./deals";
import { dealsOf, SHAPE_NAMES } from "./shapes";

type Finding = {
  /** The deal without the figure. */
  without: (deal: LoanDeal) => LoanDeal;
  /** The deal with the figure put back. */
  put: (deal: LoanDeal, whole: number) => LoanDeal;
  /** What was found, and how the answer writes it. */
  of: (quote: LoanQuote) => number;
  written: (quote: LoanQuote) => unknown;
  /** Whether the known figures rise with it. */
  rises: (known: KnownFigure) => boolean;
  from: KnownFigure[];
  largest: number;
};

const COSTS: KnownFigure[] = ["totalCost", "financeCharge"];
const money = (minor: number) => formatAmount(minor, 2);

const FINDINGS: Partial<Record<FoundFigure, Finding>> = {
  price: {
    without: deal => withStructure(deal, { price: null }),
    put: (deal, price) => withStructure(deal, { price }),
    of: ({ price }) => price,
    written: quote => quoteJson(quote).price,
    rises: () => true,
    from: ["payment", "loanAmount", "amountFinanced", ...COSTS],
    largest: 100_000_000,
  },
  down: {
    without: deal => withStructure(deal, { down: null }),
    put: (deal, amount) => withStructure(deal, { down: { amount } }),
    of: ({ down }) => down,
    written: quote => quoteJson(quote).down,
    rises: () => false,
    from: ["payment", "loanAmount", ...COSTS],
    largest: 6_000_000,
  },
  allowance: {
    without: deal => deal,
    put: (deal, allowance) => withStructure(deal, { tradeIns: [{ owed: owedOf(deal), allowance }] }),
    of: ({ allowance }) => allowance,
    written: quote => quoteJson(quote).allowance,
    rises: () => false,
    from: ["payment", ...COSTS],
    largest: 6_000_000,
  },
  payments: {
    without: deal => withPlan(deal, { payments: null }),
    put: (deal, payments) => withPlan(deal, { payments }),
    of: ({ filled }) => filled.plan.payments ?? 0,
    written: quote => quoteJson(quote).payments,
    rises: known => known !== "payment",
    from: ["payment", ...COSTS],
    largest: 1200,
  },
  balloon: {
    without: deal => withPlan(deal, { balloon: null }),
    put: (deal, amount) => withPlan(deal, { balloon: { amount } }),
    of: ({ agreedBalloon }) => agreedBalloon,
    written: quote => quoteJson(quote).balloon,
    rises: known => known !== "payment",
    from: ["payment", ...COSTS],
    largest: 6_000_000,
  },
  extra: {
    without: deal => withPlan(deal, { extra: { ...deal.plan.extra, each: { amount: null } } }),
    put: (deal, amount) => withPlan(deal, { extra: { ...deal.plan.extra, each: { amount } } }),
    of: ({ extraEach }) => extraEach,
    written: quote => quoteJson(quote).extra,
    rises: () => false,
    from: ["payments", ...COSTS],
    largest: 6_000_000,
  },
};

/** The shapes in which a figure stands. */
function hasFigure(find: string, shape: string): boolean {
  if (find === "balloon") return ["balloon", "advanceBalloon"].includes(shape);
  if (find === "extra") return shape === "each";
  return true;
}

const knownOf = (quote: LoanQuote, known: KnownFigure): number => {
  if (known === "endDate") return quote.finalDate ?? 0;
  const figure = quote[known];
  return typeof figure === "number" ? figure : (figure?.total ?? 0);
};

/** The deal with another figure in its place, at the payment that this takes; undefined where there is none. */
function quoteWith(deal: LoanDeal, { put }: Finding, whole: number): LoanQuote | undefined {
  const { from: _from, ...rest } = put(withPlan(deal, { payment: null }), whole);
  const quote = evaluate({ ...rest, find: "payment" });
  return quote.ok ? quote.value : undefined;
}

/** What the known figure is then. */
function measured(deal: LoanDeal, finding: Finding, known: KnownFigure, whole: number): number | undefined {
  const quote = quoteWith(deal, finding, whole);
  return quote && knownOf(quote, known);
}

function asking(
  deal: LoanDeal,
  find: FoundFigure,
  { without }: Finding,
  known: KnownFigure,
  asked: number,
): LoanDeal {
  const open: LoanDeal = { ...without(deal), find };
  return known === "payment"
    ? withPlan(open, { payment: asked })
    : { ...open, from: { figure: known, value: asked } };
}

const CASES = Object.entries(FINDINGS).flatMap(([find, finding]) =>
  finding.from.map((known): [FoundFigure, KnownFigure, Finding] => [find as FoundFigure, known, finding]),
);

const dealOfAny = (find: FoundFigure) =>
  fc.constantFrom(...SHAPE_NAMES.filter(shape => hasFigure(find, shape))).chain(dealsOf);

const RUNS = runs(30);

/** The deal with a figure left out that is found from what it came to; undefined where it comes to nothing. */
function askedAgain(deal: LoanDeal, find: FoundFigure, finding: Finding, known: KnownFigure, share: number) {
  const base = evaluate(deal);
  const asked = base.ok ? Math.ceil(knownOf(base.value, known) * share) : 0;
  if (!base.ok || asked <= 0) return undefined;
  return { asked, answer: evaluate(asking(deal, find, finding, known, asked)) };
}

test.each(CASES)("%s is found again from the %s", (find, known, finding) => {
  fc.assert(
    fc.property(dealOfAny(find), deal => {
      const again = askedAgain(deal, find, finding, known, 1);
      if (!again) return;
      const { asked, answer } = again;
      if (!answer.ok && answer.failure.sentence.includes("affords more than")) {
        expect(measured(deal, finding, known, finding.largest)).toBeLessThanOrEqual(asked);
        return;
      }
      // Solved: the deal itself is an answer.
      if (!answer.ok) throw new Error(answer.failure.sentence);
      const found = finding.of(answer.value);
      expect(finding.written(answer.value)).toBe(find === "payments" ? found : money(found));
      expect(measured(deal, finding, known, found) ?? Number.NaN).toBeLessThanOrEqual(asked);
      const isKept = known !== "payment" || !keepsPayment(answer.value) || answer.value.payment === asked;
      expect(isKept).toBe(true);
      expect(nextOne(deal, finding, known, found)).toBeGreaterThan(asked);
    }),
    { numRuns: RUNS },
  );
});

/** The known figure at the next number; without end where there is none. */
function nextOne(deal: LoanDeal, finding: Finding, known: KnownFigure, found: number): number {
  const next = found + (finding.rises(known) ? 1 : -1);
  const isOne = next >= 0 && next <= finding.largest;
  return (isOne ? measured(deal, finding, known, next) : undefined) ?? Number.POSITIVE_INFINITY;
}

/** Where the least of a figure is already enough, the payment is below the one asked for, and a note says so. */
const keepsPayment = ({ note }: LoanQuote) => !note?.includes("needed");

/** Numbers all over a range, close together at its start. */
function samples(largest: number): number[] {
  const numbers: number[] = [];
  for (let whole = 0; whole <= largest; whole = whole < 40 ? whole + 1 : Math.ceil(whole * 1.15))
    numbers.push(whole);
  return numbers;
}

test.each(CASES)(
  "%s from the %s: where it is refused nothing satisfies, and what is offered works",
  (find, known, finding) => {
    fc.assert(
      fc.property(dealOfAny(find), fc.double({ min: 0.001, max: 1.5, noNaN: true }), (deal, share) => {
        const again = askedAgain(deal, find, finding, known, share);
        if (!again || again.answer.ok) return;
        const { sentence, nearest } = again.answer.failure;
        if (sentence.includes("affords more than")) return;
        const satisfying = samples(finding.largest).filter(whole => {
          const quote = quoteWith(deal, finding, whole);
          if (!quote || knownOf(quote, known) > again.asked) return false;
          // A loan of a cent, over before the extra that is too much for the others, is not the one that was asked about.
          return !(sentence.startsWith("The extra of") && isOverBeforeExtras(deal, quote));
        });
        expect([sentence, satisfying]).toEqual([sentence, []]);
        const offered = (nearest?.figure === known ? nearest.minor : undefined) ?? offeredIn(sentence);
        if (offered === undefined) return;
        const offer = evaluate(asking(deal, find, finding, known, offered));
        expect([sentence, offer.ok ? "" : offer.failure.sentence]).toEqual([sentence, ""]);
      }),
      { numRuns: Math.ceil(RUNS / 2) },
    );
  },
);

const isOverBeforeExtras = ({ plan }: LoanDeal, { finalDate }: LoanQuote) =>
  plan.extra?.once?.some(each => "date" in each && each.date > (finalDate ?? each.date)) ?? false;

/** "The smallest finance charge that works is 902.50." */
function offeredIn(sentence: string): number | undefined {
  const [, amount] = sentence.match(/that works is ([\d,.]+\d)/) ?? [];
  if (amount === undefined) return undefined;
  const digits = amount.replaceAll(",", "");
  return digits.includes(".") ? Number(digits.replace(".", "")) : Number(digits);
}
