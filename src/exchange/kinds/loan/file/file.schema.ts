import Type from "typebox";
import { FOUND_FIGURES } from "@/core";
import { QuestionsSchema } from "../../../questions/questions.schema";
import { OneOf, seen, unseen } from "../../../schema";
import type { FileOf } from "../../kind/file.schema";
import { LoanKnownSchema } from "../plan/known.schema";
import { PlanSchema } from "../plan/plan.schema";

/** What of a deal file is a loan's own. */
export const LOAN_MEMBERS = {
  plan: seen(PlanSchema),
  find: seen(OneOf(...FOUND_FIGURES)),
  from: seen(Type.Optional(LoanKnownSchema)),
  ask: unseen(Type.Optional(QuestionsSchema)),
};

/** What the officer typed of a loan. */
export type LoanFile = FileOf<typeof LOAN_MEMBERS>;
