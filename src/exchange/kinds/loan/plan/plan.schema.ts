import Type from "typebox";
import { ExtraMembers } from "../../../extra-payments/extra.schema";
import { Amount, exact, FrequencyWord, IsoDate, OneOf, Payments, seen, YearlyRate } from "../../../schema";
import { BalloonMembers } from "./balloon.schema";
import { DatedPaymentsMembers } from "./dated-payments.schema";
import { DeferredMembers } from "./deferred.schema";
import { EarlyFeeMembers } from "./early-fee.schema";
import { FlatRateMembers } from "./flat-rate.schema";
import { PLAN_KINDS } from "./kinds";
import { PLAIN_MEMBERS } from "./plain.schema";
import { SkippedMonthsMembers } from "./skipped-months.schema";
import { StepsMembers } from "./steps.schema";
import { TimeMembers } from "./time.schema";

const { interestOnly, prepaidCharge, ...otherPlainMembers } = PLAIN_MEMBERS;

/** How a loan is repaid: its rate, its term and its dates, then the members of every part. */
export const PlanSchema = exact({
  kind: seen(
    Type.Unsafe<(typeof PLAN_KINDS)[number]>({
      enum: PLAN_KINDS,
      // A lease has a schema of its own.
      description: '"loan", "flatRate", "equalPrincipal" or "lease"',
    }),
  ),
  yearlyRate: seen(Type.Optional(YearlyRate)),
  payments: seen(Type.Optional(Payments)),
  frequency: seen(FrequencyWord),
  rounding: seen(Type.Optional(OneOf("nearest", "up", "down"))),
  signed: seen(Type.Optional(IsoDate)),
  firstPayment: seen(Type.Optional(IsoDate)),
  payment: seen(Type.Optional(Amount)),
  ...TimeMembers,
  ...BalloonMembers,
  interestOnly,
  ...DeferredMembers,
  ...SkippedMonthsMembers,
  ...StepsMembers,
  ...FlatRateMembers,
  prepaidCharge,
  ...DatedPaymentsMembers,
  ...ExtraMembers,
  ...EarlyFeeMembers,
  ...otherPlainMembers,
});

/** How a loan is repaid, as it is filed. */
export type PlanFile = Type.Static<typeof PlanSchema>;
