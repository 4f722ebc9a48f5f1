import Type from "typebox";
import { FOUND_FIGURES, LEASE_FIGURES } from "@/core";
import { LoanKnownSchema } from "../loan/plan/known.schema";
import { PlanSchema } from "../loan/plan/plan.schema";
import { StructureSchema } from "../../structure/structure.schema";
import { LOCALES } from "../../notation";
import { QuestionsSchema } from "../../questions/questions.schema";
import { Currency, exact, OneOf } from "../../schema";
import { LeaseKnownSchema, LeasePlanSchema } from "./plan.schema";
import { LeaseQuestionsSchema } from "./questions.schema";

/** The loan that a lease was before its kind was changed, for coming back to; its structure is the lease's. */
const KeptLoan = exact({
  plan: PlanSchema,
  find: OneOf(...FOUND_FIGURES),
  from: Type.Optional(LoanKnownSchema),
  ask: Type.Optional(QuestionsSchema),
});

/** A deal file whose plan is a lease. */
export const LeaseFileSchema = exact({
  format: Type.Literal("kellux-deal", { description: '"kellux-deal"' }),
  version: Type.Literal(1, { description: "1" }),
  currency: Currency,
  locale: Type.Optional(OneOf(...LOCALES)),
  structure: StructureSchema,
  plan: LeasePlanSchema,
  find: OneOf(...LEASE_FIGURES),
  from: Type.Optional(LeaseKnownSchema),
  ask: Type.Optional(LeaseQuestionsSchema),
  kept: Type.Optional(KeptLoan),
});

/** What the officer typed of a lease, as it is filed, sent and kept. */
export type LeaseFile = Type.Static<typeof LeaseFileSchema>;
