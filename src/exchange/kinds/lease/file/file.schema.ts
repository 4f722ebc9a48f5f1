import Type from "typebox";
import { LEASE_FOUND_FIGURES } from "@/core";
import { OneOf } from "../../../schema";
import type { FileOf } from "../../kind/file.schema";
import { LeaseKnownSchema, LeasePlanSchema } from "./plan.schema";
import { LeaseQuestionsSchema } from "./questions.schema";

/** What of a deal file is a lease's own. */
export const LEASE_MEMBERS = {
  plan: LeasePlanSchema,
  find: OneOf(...LEASE_FOUND_FIGURES),
  from: Type.Optional(LeaseKnownSchema),
  ask: Type.Optional(LeaseQuestionsSchema),
};

/** What the officer typed of a lease. */
export type LeaseFile = FileOf<typeof LEASE_MEMBERS>;
