import fc from "fast-check";
import { evaluate, type LoanDeal, type LoanQuote, parseIsoDate } from "@/core";

/** A plain monthly loan of 10,000.00 at 6 % over 12 payments, to change from. */
export const PLAIN: LoanDeal = {
  currency: "USD",
  structure: { price: 1_000_000, tradeIns: [], down: { amount: 0 } },
  plan: {
    kind: "loan",
    yearlyRate: "6",
    payments: 12,
    frequency: "monthly",
    rounding: "nearest",
    signed: null,
    firstPayment: null,
    payment: null,
  },
  find: "payment",
};

/** The plain deal with other structure and plan figures. */
export function dealWith(
  structure: Partial<LoanDeal["structure"]>,
  plan: Partial<LoanDeal["plan"]> = {},
  find: LoanDeal["find"] = "payment",
): LoanDeal {
  return {
    ...PLAIN,
    structure: { ...PLAIN.structure, ...structure },
    plan: { ...PLAIN.plan, ...plan },
    find,
  };
}

/** A deal with some figures of its structure changed. */
export const withStructure = (deal: LoanDeal, change: Partial<LoanDeal["structure"]>): LoanDeal => ({
  ...deal,
  structure: { ...deal.structure, ...change },
});

/** What is owed on the trade-in of a deal. */
export const owedOf = ({ structure }: LoanDeal): number => structure.tradeIns[0]?.owed ?? 0;

/** A deal with some figures of its plan changed. */
export const withPlan = (deal: LoanDeal, change: Partial<LoanDeal["plan"]>): LoanDeal => ({
  ...deal,
  plan: { ...deal.plan, ...change },
});

/** The quote of a deal that must have one. */
export function quoteOf(deal: LoanDeal): LoanQuote {
  const quote = evaluate(deal);
  if (!quote.ok) throw new Error(quote.failure.sentence);
  return quote.value;
}

/** The sentence of a deal that must have no answer. */
export function sentenceOf(deal: LoanDeal): string {
  const quote = evaluate(deal);
  if (quote.ok) throw new Error("There is an answer.");
  return quote.failure.sentence;
}

export const date = (iso: string): number => {
  const day = parseIsoDate(iso);
  if (day === undefined) throw new Error(`${iso} is no date.`);
  return day;
};

const ROUNDINGS = ["nearest", "up", "down"] as const;

/** Amounts from one cent to ten million, small ones as likely as large ones. */
export const amounts = fc.oneof(
  fc.integer({ min: 1, max: 100_000 }),
  fc.integer({ min: 100_000, max: 10_000_000 }),
  fc.integer({ min: 10_000_000, max: 1_000_000_000 }),
);

/** Yearly rates with up to four decimals: none, everyday ones, extreme ones. */
export const rates = fc
  .oneof(
    { weight: 1, arbitrary: fc.constant(0) },
    { weight: 8, arbitrary: fc.integer({ min: 1, max: 300_000 }) },
    { weight: 1, arbitrary: fc.integer({ min: 1, max: 4_000_000 }) },
  )
  .chain(tenThousandths =>
    fc.constantFrom(0, 2, 4).map(decimals => (tenThousandths / 10_000).toFixed(decimals)),
  );

export const terms = fc.oneof(
  { weight: 6, arbitrary: fc.integer({ min: 1, max: 96 }) },
  { weight: 1, arbitrary: fc.integer({ min: 1, max: 600 }) },
);

export const roundings = fc.constantFrom(...ROUNDINGS);
