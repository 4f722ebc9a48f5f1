import type { Rounding } from "../../../../money";
import type { Earning } from "../draft";
import { type Balloon, balloon } from "./balloon";
import { type DatedPayment, datedPayments } from "./dated-payments";
import { type Deferred, deferred } from "./deferred";
import { earlyFee } from "./early-fee";
import { equalPrincipal } from "./equal-principal";
import { flatRate } from "./flat-rate";
import { interestOnly } from "./interest-only";
import { level } from "./level";
import type { Shape } from "./shape";
import { skippedMonths } from "./skipped-months";
import { type Step, steps } from "./steps";

export type { Balloon, DatedPayment, Deferred, Shape, Step };

/** The parts of a plan that give a loan its shape. All may be left out. */
export type ShapeInputs = {
  /** A loan by its shapes, at a flat rate, or with the same part of the principal in each payment. */
  kind: "loan" | "flatRate" | "equalPrincipal";
  /** How a flat-rate loan's finance charge is earned; `actuarial` where left out. */
  earning?: Earning;
  balloon?: Balloon | null;
  deferred?: Deferred;
  /** How many first payments are just interest. */
  interestOnly?: number;
  /** Calendar months without a payment, 1 to 12. */
  skippedMonths?: readonly number[];
  steps?: readonly Step[];
  /** How a payment is rounded, and one that a step makes of an agreed amount. */
  rounding: Rounding;
  /** What it is rounded to, in minor units; 1 where left out. */
  roundingStep?: number;
  earlyFee?: readonly object[];
  /** Instead of a number of payments. */
  datedPayments?: readonly DatedPayment[];
};

/** Every shape of loan, in the order in which they build a plan up. A new one is one file and one line here. */
export const SHAPES: readonly Shape<ShapeInputs>[] = [
  level,
  flatRate,
  equalPrincipal,
  datedPayments,
  deferred,
  interestOnly,
  steps,
  skippedMonths,
  balloon,
  earlyFee,
];
