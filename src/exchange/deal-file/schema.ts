import Type from "typebox";

/** A money amount in a deal file. */
const Amount = Type.Union(
  [Type.String({ pattern: "^\\d{1,10}(\\.\\d{1,3})?$" }), Type.Number({ minimum: 0 })],
  {
    description: 'an amount of 0 or more, such as "41850.00"',
  },
);

const Percent = (description: string, maximum: number) =>
  Type.Union([Type.String({ pattern: "^\\d{1,4}(\\.\\d{1,8})?$" }), Type.Number({ minimum: 0, maximum })], {
    description,
  });

const IsoDate = Type.String({
  pattern: "^\\d{4}-\\d{2}-\\d{2}$",
  description: 'a date such as "2026-12-24"',
});

const CashDown = Type.Union(
  [
    Type.Object({ amount: Amount }, { additionalProperties: false }),
    Type.Object(
      { percent: Percent('a percent of the price from 0 to 100, such as "10"', 100) },
      { additionalProperties: false },
    ),
  ],
  { description: '{ "amount": … } or { "percent": … }' },
);

const Structure = Type.Object(
  {
    price: Type.Optional(Amount),
    tradeIn: Type.Optional(Type.Object({ allowance: Amount, owed: Amount }, { additionalProperties: false })),
    down: Type.Optional(CashDown),
  },
  { additionalProperties: false },
);

const LoanPlan = Type.Object(
  {
    kind: Type.Literal("loan", { description: '"loan"' }),
    yearlyRate: Type.Optional(Percent('a yearly rate in percent from 0 to 1000, such as "6.49"', 1000)),
    payments: Type.Optional(
      Type.Integer({ minimum: 1, maximum: 1200, description: "a whole number of payments from 1 to 1200" }),
    ),
    frequency: Type.Literal("monthly", { description: '"monthly"' }),
    rounding: Type.Optional(
      Type.Union([Type.Literal("nearest"), Type.Literal("up"), Type.Literal("down")], {
        description: '"nearest", "up" or "down"',
      }),
    ),
    signed: Type.Optional(IsoDate),
    firstPayment: Type.Optional(IsoDate),
    payment: Type.Optional(Amount),
  },
  { additionalProperties: false },
);

/** The deal file: the one source of its static type, its published JSON Schema and every check of it. */
export const DealFileSchema = Type.Object(
  {
    format: Type.Literal("kellux-deal", { description: '"kellux-deal"' }),
    version: Type.Literal(1, { description: "1" }),
    currency: Type.String({
      pattern: "^[A-Z]{3}$",
      description: 'a currency code of ISO 4217, such as "USD"',
    }),
    structure: Structure,
    plan: LoanPlan,
    find: Type.Union([Type.Literal("payment"), Type.Literal("price"), Type.Literal("down")], {
      description: '"payment", "price" or "down"',
    }),
  },
  { additionalProperties: false },
);

/**
 * What the officer typed, as it is filed, sent and kept. Figures that were not typed yet, and the one being
 * found, are left out.
 */
export type DealFile = Type.Static<typeof DealFileSchema>;
