import { byPay, type Pay, type Raise, rationalWeight } from "../../../annuity";
import { type Decimal, parseDecimal } from "../../../interest";
import { HIGHEST_STEP_PERCENT, MOST_STEPS } from "../../../limits";
import { failure, type Result, success } from "../../../result";
import { changePay, type Draft } from "../draft";
import type { Shape } from "./shape";

/** From one payment on: an amount in minor units, or a percent change of the payment before it, as typed. */
export type Step = { from: number } & ({ amount: number } | { percent: string });

/** Payments that change along the term; what is not an amount is solved for. */
export const steps: Shape<{ steps?: readonly Step[] }> = (draft, plan) => {
  const asked = plan.steps ?? [];
  if (asked.length > MOST_STEPS) {
    return failure("steps", `There are ${asked.length} steps; there can be at most ${MOST_STEPS}.`);
  }
  let stepped: Result<Draft> = success(draft);
  let raises: readonly Raise[] = [];
  let before = 1;
  for (const step of asked) {
    if (!stepped.ok) return stepped;
    if (!Number.isInteger(step.from) || step.from <= before || step.from > draft.payments) {
      return failure(
        "steps",
        `A step from payment ${step.from} is not possible; steps come in order, from payment ${before + 1} to ${draft.payments}.`,
      );
    }
    before = step.from;
    const pay = payOf(step, raises);
    if (!pay.ok) return pay;
    raises = pay.value.kind === "level" ? pay.value.raises : raises;
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

function payOf(step: Step, before: readonly Raise[]): Result<Pay> {
  if ("amount" in step) return success({ kind: "amount", amount: step.amount });
  const change = readChange(step.percent);
  if (!change) {
    return failure(
      "steps",
      `A change of ${step.percent} % is not possible; it must be a percent above -100 and up to ${HIGHEST_STEP_PERCENT}, such as 5 or -2.5.`,
    );
  }
  const raises = [...before, change];
  let [numerator, denominator] = [1n, 1n];
  for (const { digits, scale } of raises) {
    numerator *= BigInt(100 * scale + digits);
    denominator *= BigInt(100 * scale);
  }
  return success({ kind: "level", weight: rationalWeight(numerator, denominator), raises });
}

function readChange(percent: string): Raise | undefined {
  const negative = percent.startsWith("-");
  const size: Decimal | undefined = parseDecimal(negative ? percent.slice(1) : percent);
  if (!size || size.digits > HIGHEST_STEP_PERCENT * size.scale) return undefined;
  if (negative && size.digits >= 100 * size.scale) return undefined;
  return negative ? { digits: -size.digits, scale: size.scale } : size;
}
