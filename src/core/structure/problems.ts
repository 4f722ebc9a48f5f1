import { parseDecimal } from "../interest";
import type { Failure } from "../result";
import { isDownFromDue } from "./cash-down";
import { chargesOf } from "./charges";
import { dueBesidesDown, type PaidThatDay } from "./due-at-signing";
import { cashReceived } from "./paid-out";
import type { Reckoned } from "./reckon";
import type { Structure } from "./structure";

const isPercentTo100 = (text: string) => {
  const percent = parseDecimal(text);
  return percent !== undefined && percent.digits <= 100 * percent.scale;
};

/**
 * Why a percent of a structure cannot be; undefined where all can.
 *
 * @example percentProblem({ price: 10000, tradeIns: [], down: { percent: "101" } })?.figure // "down"
 */
export function percentProblem(structure: Structure): Failure | undefined {
  const { down, taxes = [] } = structure;
  if (down !== null && "percent" in down && !isPercentTo100(down.percent)) {
    const of = down.of === "total" ? "the price with tax, fees and extras" : "the price";
    return {
      figure: "down",
      sentence: `Cash down of ${down.percent} % is not possible; it can be 0 to 100 % of ${of}.`,
    };
  }
  for (const { name, amount } of chargesOf(structure))
    if ("percent" in amount && !isPercentTo100(amount.percent))
      return {
        figure: "fees",
        sentence: `${name} of ${amount.percent} % is not possible; it can be 0 to 100 %.`,
      };
  for (const { name, rate } of taxes)
    if (!isPercentTo100(rate))
      return { figure: "taxes", sentence: `${name} of ${rate} % is not possible; it can be 0 to 100 %.` };
  return undefined;
}

/**
 * Why what a structure comes to cannot be; undefined where it can.
 *
 * @param reckoned what its lines come to
 * @param paid what of the payments falls due at signing
 * @param chargeAtSigning what the plan asks for at signing besides payments, in minor units
 * @param money writes minor units
 */
export function settledProblem(
  structure: Structure,
  reckoned: Reckoned,
  paid: PaidThatDay,
  chargeAtSigning: number,
  money: (minor: number) => string,
): Failure | undefined {
  const { down, personal } = structure;
  if (reckoned.loanAmount === Number.POSITIVE_INFINITY) {
    return {
      figure: "fees",
      sentence:
        "What is reckoned from the loan amount, or from the total of payments, comes to almost all of the loan or more; lower these percents.",
    };
  }
  if (isDownFromDue(down)) {
    const others = chargeAtSigning + dueBesidesDown(structure, reckoned, paid);
    if (others > down.dueAtSigning) {
      return {
        figure: "dueAtSigning",
        sentence: `The ${money(down.dueAtSigning)} due at signing do not pay for what else is due that day, ${money(others)} without any cash down; give at least that.`,
      };
    }
  }
  const received = personal ? cashReceived(structure, reckoned) : 0;
  if (received < 0) {
    return {
      figure: "cashReceived",
      sentence: `The debts paid off and what is kept back come to ${money(-received)} more than the amount asked for; ask for more, or pay off less.`,
    };
  }
  return undefined;
}
