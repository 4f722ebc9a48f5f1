import {
  byPay,
  LEVEL_PAY,
  type Pay,
  type PaymentRounding,
  type Raise,
  rationalWeight,
  steppedPayment,
} from "../../../../annuity";
import { type Decimal, parseDecimal } from "../../../../interest";
import { HIGHEST_STEP_PERCENT, MOST_STEPS } from "../../../../limits";
import type { Rounding } from "../../../../money";
import { failure, type Result, success } from "../../../../result";
import { changePay, type Draft } from "../draft";
import type { Shape } from "./shape";

/** From one payment on: an amount in minor units, or a percent change of the payment before it, as typed. */
export type Step = { from: number } & ({ amount: number } | { percent: string });

type Inputs = { steps?: readonly Step[]; rounding: Rounding; roundingStep?: number };

/** Payments that change along the term; what is neither an amount nor follows from one is solved for. */
export const steps: Shape<Inputs> = (draft, plan) => {
  const asked = plan.steps;
  if (!asked) return success(draft);
  const rounding = { rule: plan.rounding, step: plan.roundingStep ?? 1 };
  if (asked.length > MOST_STEPS) {
    return failure("steps", `There are ${asked.length} steps; there can be at most ${MOST_STEPS}.`);
  }
  let stepped: Result<Draft> = success(draft);
  let payBefore: Pay = LEVEL_PAY;
  let before = 1;
  for (const step of asked) {
    if (!stepped.ok) return stepped;
    if (!Number.isInteger(step.from) || step.from <= before || step.from > draft.payments) {
      const possible =
        before < draft.payments
          ? `steps come in order, from payment ${before + 1} to ${draft.payments}`
          : `there is no payment after ${before} to step at`;
      return failure("steps", `A step from payment ${step.from} is not possible; ${possible}.`);
    }
    before = step.from;
    const pay = payOf(step, payBefore, rounding);
    if (!pay.ok) return pay;
    payBefore = pay.value;
    const runs = changePay(stepped.value.runs, step.from, draft.payments, old =>
      takesSteps(old) ? pay.value : old,
    );
    stepped = success({ ...draft, runs });
  }
  return stepped;
};

/** Dates on which nothing, or just interest, is paid stay as they are. */
function takesSteps(pay: Pay): boolean {
  return byPay(pay, {
    level: () => true,
    principal: () => true,
    amount: () => true,
    interest: () => false,
    none: () => false,
  });
}

/** What a step makes of the payment before it: a percent of an agreed amount is an amount again. */
function payOf(step: Step, before: Pay, rounding: PaymentRounding): Result<Pay> {
  if ("amount" in step) return success({ kind: "amount", amount: step.amount });
  const change = readChange(step.percent);
  if (!change) {
    return failure(
      "steps",
      `A change of ${step.percent} % is not possible; it must be a percent above -100 and up to ${HIGHEST_STEP_PERCENT}, such as 5 or -2.5.`,
    );
  }
  if (before.kind === "amount") {
    return success({ kind: "amount", amount: steppedPayment(before.amount, [change], rounding) });
  }
  return success(raised([...(before.kind === "level" ? before.raises : []), change]));
}

/** The level payment after some changes, each on the one before it. */
function raised(raises: readonly Raise[]): Pay {
  let [numerator, denominator] = [1n, 1n];
  for (const { digits, scale } of raises) {
    numerator *= BigInt(100 * scale + digits);
    denominator *= BigInt(100 * scale);
  }
  return { kind: "level", weight: rationalWeight(numerator, denominator), raises };
}

function readChange(percent: string): Raise | undefined {
  const negative = percent.startsWith("-");
  const size: Decimal | undefined = parseDecimal(negative ? percent.slice(1) : percent);
  if (!size || size.digits > HIGHEST_STEP_PERCENT * size.scale) return undefined;
  if (negative && size.digits >= 100 * size.scale) return undefined;
  return negative ? { digits: -size.digits, scale: size.scale } : size;
}
