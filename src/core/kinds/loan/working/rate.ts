import { FREQUENCY_NAMES, periodsPerYear } from "../../../calendar";
import { compoundingsPerYear, type Decimal } from "../../../interest";
import { decimalText } from "../../../money";
import type { WorkingStep } from "../../../working";
import { type LoanQuote, machineOf } from "../quote";

function percentOf({ digits, scale }: Decimal): string {
  return decimalText({ numerator: BigInt(digits), denominator: BigInt(scale) }, 8);
}

/** The rate of one regular period. */
export function explainPeriodRate(quote: LoanQuote): WorkingStep {
  const { yearlyRate, draft } = machineOf(quote).terms;
  const { frequency, compounding, dayCount } = draft.calendar;
  const percent = percentOf(yearlyRate);
  const perYear = periodsPerYear(frequency);
  const name = `Rate of one ${FREQUENCY_NAMES[frequency].period}`;
  if (dayCount !== "equal") {
    return {
      name: "Rate of each period",
      formula:
        compounding === "payments" ? "yearly rate × days as a part of a year" : growthFormula(compounding),
      filled: `${percent} % a year, days counted ${dayCount}`,
      result: "on each row's own days",
      source: "2006 ISDA Definitions, section 4.16",
      parts: [],
    };
  }
  if (compounding === "payments") {
    const { digits, scale } = yearlyRate;
    const each = { numerator: BigInt(digits), denominator: BigInt(scale * perYear) };
    return {
      name,
      formula: `yearly rate ÷ ${perYear}`,
      filled: `${percent} % ÷ ${perYear}`,
      result: `${decimalText(each, 8)} %`,
      parts: [],
    };
  }
  const regular = draft.runs.at(-1)?.rate.value ?? 0;
  const filled =
    compounding === "continuous"
      ? `e^(${percent} % ÷ ${perYear}) − 1`
      : `(1 + ${percent} % ÷ ${compoundingsPerYear(compounding)})^(${compoundingsPerYear(compounding)}/${perYear}) − 1`;
  return {
    name,
    formula: growthFormula(compounding),
    filled,
    result: `${(regular * 100).toFixed(8)}… %`,
    parts: [],
  };
}

function growthFormula(compounding: string): string {
  return compounding === "continuous"
    ? "e^(yearly rate × years) − 1"
    : "(1 + yearly rate ÷ compoundings a year)^(compoundings a period) − 1";
}
