import { balloon } from "./balloon";
import { datedPayments } from "./dated-payments";
import { deferred } from "./deferred";
import { earlyFee } from "./early-fee";
import { extra } from "./extra";
import { flatRate } from "./flat-rate";
import type { PlanPart } from "./part";
import { PLAIN_PLAN_PARTS } from "./plain";
import { skippedMonths } from "./skipped-months";
import { steps } from "./steps";
import { time } from "./time";

const { interestOnly, prepaidCharge, ...otherPlainParts } = PLAIN_PLAN_PARTS;

/**
 * Every part of a plan beyond its rate, its term and its dates, in the order in which they are said. A new one of one
 * figure is an entry of the core's `plain-parts.ts`, any other its two files and one line here and in the plan's schema.
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
  earlyFee,
  ...Object.values<PlanPart>(otherPlainParts),
];
