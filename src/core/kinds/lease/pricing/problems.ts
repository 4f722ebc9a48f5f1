import { groupedAmount } from "../../../money";
import { type Failure, failure, missing, type Result, type Wanted } from "../../../result";
import { isDownFromDue, percentProblem } from "../../../structure";
import type { Capitalized } from "./capitalized";
import type { LeaseDeal, LeaseFoundFigure } from "./lease";

/** What was not given yet, in one sentence that names it all. */
export function missingLeaseFigures({
  structure,
  listPrice,
  plan,
  find,
  from,
}: LeaseDeal): Failure | undefined {
  const isFound = (...figures: LeaseFoundFigure[]) => figures.includes(find);
  const needsList = plan.residual && "percent" in plan.residual && plan.residual.of === "listPrice";
  const byFactor = plan.reckoning === "moneyFactor";
  const wanted: Wanted[] = [
    ["price", "the price", structure.price === null && !isFound("price")],
    ["listPrice", "the list price", Boolean(needsList) && listPrice === null],
    ["down", "the cash down", structure.down === null && !isFound("down")],
    ["moneyFactor", "the money factor", byFactor && plan.moneyFactor === null && !isFound("moneyFactor")],
    ["yearlyRate", "the yearly rate", !byFactor && plan.yearlyRate === null && !isFound("yearlyRate")],
    ["payments", "the number of payments", plan.payments === null && !isFound("payments")],
    ["residual", "the residual", plan.residual === null && !isFound("residual", "residualPercent")],
    ["payment", "the payment", plan.payment === null && from === undefined && find !== "payment"],
  ];
  return missing(wanted);
}

/** Why a lease cannot be as it was given; undefined where it can. */
export function leaseProblem({ structure, plan }: LeaseDeal): Failure | undefined {
  const percent = percentProblem(structure);
  if (percent) return percent;
  const { payments, inAdvance, residualDue } = plan;
  if (payments !== null && inAdvance > payments) {
    return {
      figure: "inAdvance",
      sentence: `${inAdvance} payments in advance are more than the ${payments} of the term.`,
    };
  }
  if (payments !== null && inAdvance === payments) {
    if (residualDue === "lastPayment") {
      return {
        figure: "residual",
        sentence:
          "With everything paid at once no payment is left for the residual to fall due with; let it fall due at the end.",
      };
    }
    if (isDownFromDue(structure.down)) {
      return {
        figure: "dueAtSigning",
        sentence:
          "With everything paid at once the payment is what is due at signing; give the cash down as an amount.",
      };
    }
  }
  return undefined;
}

/** Why what a lease comes to cannot be; undefined where it can. */
export function capitalizedProblem(
  { structure }: LeaseDeal,
  { cost, base, residual, gross, reduction }: Capitalized,
  decimals: number,
): Result<never> | undefined {
  const money = (minor: number) => groupedAmount(minor, decimals);
  const { down } = structure;
  if (cost === Number.POSITIVE_INFINITY && isDownFromDue(down)) {
    return failure(
      "dueAtSigning",
      `The ${money(down.dueAtSigning)} due at signing do not pay for the payments of that day, however much of them is capitalized; give more, or fewer payments in advance.`,
    );
  }
  if (cost === Number.POSITIVE_INFINITY) {
    return failure(
      "fees",
      "What is reckoned from the cost, or from the sum of payments, comes to almost all of it or more; lower these percents.",
    );
  }
  if (cost <= 0) {
    return failure(
      isDownFromDue(down) ? "dueAtSigning" : "down",
      `Nothing is left to lease: what is taken off, ${money(reduction)}, covers the ${money(gross)} that are capitalized.`,
    );
  }
  if (base === undefined) {
    return failure(
      "residual",
      `A residual of ${money(residual)} asks for a payment below zero on a cost of ${money(cost)}; it must be lower.`,
    );
  }
  return undefined;
}
