import Type from "typebox";
import { QuestionSchema } from "../questions/schema";
import { Amount, Currency, exact, IsoDate, OneOf, Percent, Whole } from "./parts";
import { PlanSchema } from "./plan";

const CashDown = Type.Union(
  [
    exact({ amount: Amount }),
    exact({ percent: Percent('a percent of the price from 0 to 100, such as "10"', 100) }),
  ],
  { description: '{ "amount": … } or { "percent": … }' },
);

const Structure = exact({
  price: Type.Optional(Amount),
  tradeIn: Type.Optional(exact({ allowance: Type.Optional(Amount), owed: Amount })),
  down: Type.Optional(CashDown),
});

/** A figure of the result that another is found from, in place of the plan's payment. */
const Known = Type.Union(
  [
    exact({ totalCost: Amount }),
    exact({ financeCharge: Amount }),
    exact({ amountFinanced: Amount }),
    exact({ endDate: IsoDate }),
    exact({ payments: Whole(1, 1200, "a whole number of payments") }),
  ],
  {
    description:
      'one of { "totalCost" }, { "financeCharge" }, { "amountFinanced" }, { "endDate" } or { "payments" }',
  },
);

export const MOST_QUESTIONS = 100;

/** The deal file: the one source of its static type, its published JSON Schema and every check of it. */
export const DealFileSchema = exact({
  format: Type.Literal("kellux-deal", { description: '"kellux-deal"' }),
  version: Type.Literal(1, { description: "1" }),
  currency: Currency,
  structure: Structure,
  plan: PlanSchema,
  find: OneOf(
    "payment",
    "price",
    "down",
    "downPercent",
    "allowance",
    "yearlyRate",
    "payments",
    "balloon",
    "extra",
    "lump",
  ),
  from: Type.Optional(Known),
  ask: Type.Optional(
    Type.Array(QuestionSchema, { maxItems: MOST_QUESTIONS, description: "a list of at most 100 questions" }),
  ),
});

/**
 * What the officer typed, as it is filed, sent and kept. Figures that were not typed yet, and the one being
 * found, are left out.
 */
export type DealFile = Type.Static<typeof DealFileSchema>;
