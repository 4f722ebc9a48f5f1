import { PLAIN_PART_NAMES } from "@/core";
import { balloon } from "./balloon";
import { datedPayments } from "./dated-payments";
import { deferred } from "./deferred";
import { extra } from "./extra";
import { flatRate } from "./flat-rate";
import type { PlanPart } from "./part";
import { plainPart } from "./plain";
import { skippedMonths } from "./skipped-months";
import { steps } from "./steps";
import { time } from "./time";

/** Parts of one figure that nothing asks to stand at a place of their own. */
const OTHERS = PLAIN_PART_NAMES.filter(name => name !== "interestOnly" && name !== "prepaidCharge");

/**
 * Every part of a plan beyond its rate, its term and its dates, in the order in which they are said. A new one of one
 * figure is an entry of the core's `plain-parts.ts`, any other its two files and one line here and in the plan's schema.
 */
export const PLAN_PARTS: readonly PlanPart[] = [
  time,
  balloon,
  plainPart("interestOnly"),
  deferred,
  skippedMonths,
  steps,
  flatRate,
  plainPart("prepaidCharge"),
  datedPayments,
  extra,
  ...OTHERS.map(plainPart),
];
