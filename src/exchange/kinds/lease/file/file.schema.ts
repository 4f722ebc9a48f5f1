import Type from "typebox";
import { LEASE_FOUND_FIGURES } from "@/core";
import { OneOf, seen, unseen } from "../../../schema";
import type { FileOf } from "../../kind/file.schema";
import { LeaseKnownSchema, LeasePlanSchema } from "./plan.schema";
import { LeaseQuestionsSchema } from "./questions.schema";

/** What of a deal file is a lease's own. */
export const LEASE_MEMBERS = {
  plan: seen(LeasePlanSchema),
  find: seen(OneOf(...LEASE_FOUND_FIGURES)),
  from: seen(Type.Optional(LeaseKnownSchema)),
  ask: unseen(Type.Optional(LeaseQuestionsSchema)),
};

/** What the officer typed of a lease. */
export type LeaseFile = FileOf<typeof LEASE_MEMBERS>;
