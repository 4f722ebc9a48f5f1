import { balloon } from "./balloon";
import { datedPayments } from "./dated-payments";
import { deferred } from "./deferred";
import { extra } from "./extra";
import { flatRate } from "./flat-rate";
import { interestOnly } from "./interest-only";
import type { PlanPart } from "./part";
import { prepaidCharge } from "./prepaid-charge";
import { skippedMonths } from "./skipped-months";
import { steps } from "./steps";
import { time } from "./time";

/**
 * Every part of a plan beyond its rate, its term and its dates, in the order in which they are said. A new one is its
 * two files and one line here and in the plan's schema.
 */
export const PLAN_PARTS: readonly PlanPart[] = [
  time,
  balloon,
  interestOnly,
  deferred,
  skippedMonths,
  steps,
  flatRate,
  prepaidCharge,
  datedPayments,
  extra,
];
