import Type from "typebox";
import { FOUND_FIGURES, LEASE_FIGURES } from "@/core";
import { LeaseKnownSchema, LeasePlanSchema } from "../lease/plan.schema";
import { LeaseQuestionsSchema } from "../lease/questions.schema";
import { LOCALES } from "../../notation";
import { QuestionsSchema } from "../../questions/questions.schema";
import { Currency, exact, OneOf } from "../../schema";
import { LoanKnownSchema } from "./plan/known.schema";
import { PlanSchema } from "./plan/plan.schema";
import { StructureSchema } from "../../structure/structure.schema";

/** The lease that a loan was before its kind was changed, for coming back to; its structure is the loan's. */
const KeptLease = exact({
  plan: LeasePlanSchema,
  find: OneOf(...LEASE_FIGURES),
  from: Type.Optional(LeaseKnownSchema),
  ask: Type.Optional(LeaseQuestionsSchema),
});

/** The deal file of a loan: the one source of its static type, its published JSON Schema and every check of it. */
export const LoanFileSchema = exact({
  format: Type.Literal("kellux-deal", { description: '"kellux-deal"' }),
  version: Type.Literal(1, { description: "1" }),
  currency: Currency,
  locale: Type.Optional(OneOf(...LOCALES)),
  structure: StructureSchema,
  plan: PlanSchema,
  find: OneOf(...FOUND_FIGURES),
  from: Type.Optional(LoanKnownSchema),
  ask: Type.Optional(QuestionsSchema),
  kept: Type.Optional(KeptLease),
});

/**
 * What the officer typed of a loan, as it is filed, sent and kept. Figures that were not typed yet, and the one being
 * found, are left out.
 */
export type LoanFile = Type.Static<typeof LoanFileSchema>;
