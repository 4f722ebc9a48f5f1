import { asGiven, moneyWriter, type WorkingStep } from "../../../working";
import { annualPercentageRate, type UnitPeriod } from "../../../yield";
import { costOfCredit, transactionOf } from "../credit";
import type { LoanQuote } from "../quote";
import { explainAmountFinanced, explainLoanAmount, loanName } from "./amounts";

const PLACES = 6;

/** A percent to six decimals, without zeros at the end. */
const percentText = (percent: number) => `${Number(percent.toFixed(PLACES))} %`;

/** The annual percentage rate by Regulation Z. */
export function explainApr(quote: LoanQuote): WorkingStep {
  const cost = costOfCredit(quote);
  if (!cost.ok) return { ...asGiven("APR", "–"), remark: cost.failure.sentence };
  const { filled, unitPeriod } = equationOf(quote);
  return {
    name: "APR",
    formula:
      "the rate i of one unit period at which Σ payment ÷ ((1 + f × i)(1 + i)^t) is the advance, × unit periods a year",
    filled,
    result: percentText(cost.value.apr),
    rounding: "shown to six decimals",
    remark: unitPeriodText(unitPeriod),
    source: "12 CFR 1026 (Regulation Z), Appendix J",
    parts: [explainAmountFinanced(quote)],
  };
}

/** The effective yearly rate by the EU's annex. */
export function explainEffectiveRate(quote: LoanQuote): WorkingStep {
  const cost = costOfCredit(quote);
  if (!cost.ok) return { ...asGiven("Effective yearly rate", "–"), remark: cost.failure.sentence };
  const money = moneyWriter(quote);
  return {
    name: "Effective yearly rate",
    formula: "the rate X at which Σ payment ÷ (1 + X)^years is the advance",
    filled: `${money(quote.amountFinanced)} = Σ of ${quote.paymentsMade} payments and ${money(quote.balloon)} at the end`,
    result: percentText(cost.value.effectiveRate),
    rounding: "shown to six decimals",
    source: "Directive 2008/48/EC, Annex I; odd days as in directive 2014/17/EU, Annex I",
    parts: [explainAmountFinanced(quote)],
  };
}

/** The nominal rate that a flat-rate loan really has. */
export function explainTrueYearlyRate(quote: LoanQuote): WorkingStep {
  const rate = quote.trueYearlyRate;
  if (rate === undefined) return asGiven("True yearly rate", `${quote.yearlyRate} %`);
  const money = moneyWriter(quote);
  return {
    name: "True yearly rate",
    formula: `the nominal rate at which the level payments are worth the ${loanName(quote)}`,
    filled: `${money(quote.loanAmount)} = worth of ${quote.payments} × ${money(quote.payment)}, not rounded`,
    result: percentText(rate),
    rounding: "shown to six decimals",
    remark: `Higher than the flat ${quote.yearlyRate} %, because interest is charged on what is repaid already.`,
    parts: [explainLoanAmount(quote)],
  };
}

/** The equation with the first payment in its place, and the unit period that times count in. */
function equationOf(quote: LoanQuote): { filled: string; unitPeriod: UnitPeriod | null } {
  const money = moneyWriter(quote);
  const advance = money(quote.amountFinanced);
  const apr = quote.firstDate === null ? null : annualPercentageRate(transactionOf(quote));
  if (!apr?.ok) return { filled: `${advance} = Σ of ${quote.paymentsMade} payments`, unitPeriod: null };
  const { flows, unitPeriod } = apr.value;
  const [first, ...rest] = flows.filter(({ amount }) => amount < 0);
  const at = `t = ${first?.periods}, f = ${Number((first?.part ?? 0).toFixed(PLACES))}`;
  return {
    filled: `${advance} = ${money(-(first?.amount ?? 0))} at ${at}, and ${rest.length} more payments`,
    unitPeriod,
  };
}

function unitPeriodText(period: UnitPeriod | null): string {
  if (period === null) return "Without dates each period of the plan is one unit period.";
  const count = Number(period.perYear.toFixed(PLACES));
  if (period.unit === "halfMonth") return "The unit period is half a month, 24 to a year.";
  const length = period.unit === "days" ? period.days : period.months;
  const unit = period.unit === "days" ? "day" : "month";
  return `The unit period is ${length} ${unit}${length === 1 ? "" : "s"}, ${count} to a year.`;
}
