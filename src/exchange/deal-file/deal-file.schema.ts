import Type from "typebox";
import { FOUND_FIGURES } from "@/core";
import { LOCALES } from "../notation";
import { MOST_QUESTIONS, QuestionSchema } from "../questions/questions.schema";
import { Amount, AskedPayments, Currency, exact, IsoDate, OneOf } from "../schema";
import { PlanSchema } from "./plan/plan.schema";
import { StructureSchema } from "./structure.schema";

/** A figure of the result that another is found from, in place of the plan's payment. */
const Known = Type.Union(
  [
    exact({ totalCost: Amount }),
    exact({ financeCharge: Amount }),
    exact({ loanAmount: Amount }),
    exact({ amountFinanced: Amount }),
    exact({ dueAtSigning: Amount }),
    exact({ cashReceived: Amount }),
    exact({ endDate: IsoDate }),
    exact({ payments: AskedPayments }),
  ],
  {
    description:
      'one of { "totalCost" }, { "financeCharge" }, { "loanAmount" }, { "amountFinanced" }, { "dueAtSigning" }, { "cashReceived" }, { "endDate" } or { "payments" }',
  },
);

/** The deal file: the one source of its static type, its published JSON Schema and every check of it. */
export const DealFileSchema = exact({
  format: Type.Literal("kellux-deal", { description: '"kellux-deal"' }),
  version: Type.Literal(1, { description: "1" }),
  currency: Currency,
  locale: Type.Optional(OneOf(...LOCALES)),
  structure: StructureSchema,
  plan: PlanSchema,
  find: OneOf(...FOUND_FIGURES),
  from: Type.Optional(Known),
  ask: Type.Optional(
    Type.Array(QuestionSchema, {
      maxItems: MOST_QUESTIONS,
      description: `a list of at most ${MOST_QUESTIONS} questions`,
    }),
  ),
});

/**
 * What the officer typed, as it is filed, sent and kept. Figures that were not typed yet, and the one being
 * found, are left out.
 */
export type DealFile = Type.Static<typeof DealFileSchema>;
