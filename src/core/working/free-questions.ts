import { FREQUENCY_NAMES, isoDate, periodsPerYear } from "../calendar";
import { compoundingsPerYear, parseDecimal, periodRate } from "../interest";
import { currencyDecimals, groupedAmount } from "../money";
import { convertRate, type RateKind } from "../rates";
import type { TimeValue, TimeValueAnswer } from "../time-value";
import type { AnnualPercentageRate, Transaction } from "../yield";
import { counted, type WorkingStep } from "./step";

const PLACES = 8;
const percent = (value: number, places = PLACES) => `${Number(value.toFixed(places))} %`;

const FOUND_NAMES = {
  presentValue: "Money now",
  payment: "Payment",
  futureValue: "Money at the end",
  payments: "Number of payments",
  yearlyRate: "Yearly rate",
} as const;

/**
 * How one of the five figures of time value came about.
 *
 * @param plan what was asked
 * @param answer its answer by solveTimeValue
 * @example
 * const plan = {
 *   find: "payment", currency: "USD", frequency: "monthly", yearlyRate: "6", payments: 60, payment: null,
 *   presentValue: { amount: 1_000_000, direction: "received" }, futureValue: { amount: 0, direction: "paid" },
 * };
 * timeValueWorking(plan, solveTimeValue(plan).value).result // "− 193.33"
 */
export function timeValueWorking(plan: TimeValue, answer: TimeValueAnswer): WorkingStep {
  const { presentValue, payment, futureValue, payments, yearlyRate } = answer;
  const decimals = currencyDecimals(plan.currency) ?? 2;
  const money = ({ amount, direction }: TimeValueAnswer["payment"]) =>
    `${direction === "received" ? "+" : "−"} ${groupedAmount(amount, decimals)}`;
  const perYear = periodsPerYear(plan.frequency);
  const { compounding = "payments", timing = "arrears" } = plan;
  const decimal = parseDecimal(yearlyRate.toFixed(PLACES)) ?? { digits: 0, scale: 1 };
  const i = periodRate(decimal, { numerator: 1, denominator: perYear }, compounding).value;
  const growth = (1 + i) ** payments;
  const { period } = FREQUENCY_NAMES[plan.frequency];
  const atOnce = timing === "advance" ? " × (1 + i)" : "";
  const found = {
    presentValue: money(presentValue),
    payment: money(payment),
    futureValue: money(futureValue),
    payments: String(Number(payments.toFixed(4))),
    yearlyRate: percent(yearlyRate, 6),
  }[plan.find];
  const worth =
    i === 0
      ? `${money(presentValue)} ${money(payment)} × ${Number(payments.toFixed(4))} ${money(futureValue)} = 0`
      : `${money(presentValue)} × ${growth.toFixed(PLACES)} ${money(payment)} × (${growth.toFixed(PLACES)} − 1) ÷ ${i.toFixed(10)}${atOnce} ${money(futureValue)} = 0`;
  return {
    name: FOUND_NAMES[plan.find],
    formula:
      i === 0
        ? "money now + payment × number of payments + money at the end = 0"
        : `money now × g + payment × (g − 1) ÷ i${atOnce} + money at the end = 0`,
    filled: worth,
    result: found,
    rounding:
      plan.find === "payments"
        ? "The last payment is what is left then."
        : "Rounded to the cent, so that the two sides meet but for that.",
    remark: `What is received counts with +, what is paid with −; payments come at the ${timing === "advance" ? "beginning" : "end"} of each ${period}.`,
    parts:
      i === 0
        ? []
        : [
            {
              name: `i, the rate of one ${period}`,
              formula:
                compounding === "payments"
                  ? `yearly rate ÷ ${perYear}`
                  : compounding === "continuous"
                    ? `e^(yearly rate ÷ ${perYear}) − 1`
                    : `(1 + yearly rate ÷ ${compoundingsPerYear(compounding)})^(${compoundingsPerYear(compounding)}/${perYear}) − 1`,
              filled: `${percent(yearlyRate)} a year`,
              result: percent(100 * i),
              parts: [],
            },
            {
              name: `g, what 1 grows to over all of them`,
              formula: "(1 + i)^number of payments",
              filled: `${(1 + i).toFixed(10)}^${Number(payments.toFixed(4))}`,
              result: growth.toFixed(PLACES),
              parts: [],
            },
          ],
  };
}

/**
 * How a rate stated one way is stated another way: both by what they make of 1 in a year.
 *
 * @param figure percent, or a money factor
 * @param result the same stated the other way
 * @example rateWorking(12, { kind: "nominal", compounding: "monthly" }, { kind: "effective" }, 12.6825).parts[0].result // "1.1268250301"
 */
export function rateWorking(figure: number, from: RateKind, to: RateKind, result: number): WorkingStep {
  const effective = convertRate(figure, from, { kind: "effective" });
  const growth = effective.ok ? (1 + effective.value / 100).toFixed(10) : "";
  const said = (value: number, kind: RateKind) =>
    kind.kind === "moneyFactor" ? String(Number(value.toFixed(10))) : percent(value, 10);
  return {
    name: RATE_NAMES[to.kind],
    formula: FROM_GROWTH[to.kind],
    filled: `a year makes ${growth} of 1`,
    result: said(result, to),
    rounding: "Right to about 12 digits.",
    parts: [
      {
        name: "What a year makes of 1",
        formula: TO_GROWTH[from.kind],
        filled: said(figure, from),
        result: growth,
        parts: [],
      },
    ],
  };
}

const RATE_NAMES: Record<RateKind["kind"], string> = {
  nominal: "Nominal yearly rate",
  effective: "Effective yearly rate",
  periodic: "Rate of one period",
  continuous: "Yearly rate, added without pause",
  moneyFactor: "Money factor",
  flat: "Flat yearly rate",
};

const TO_GROWTH: Record<RateKind["kind"], string> = {
  nominal: "(1 + rate ÷ times a year)^times a year",
  effective: "1 + rate",
  periodic: "(1 + rate)^periods a year",
  continuous: "e^rate",
  moneyFactor: "(1 + factor × 2,400 ÷ 1,200)^12, in percent",
  flat: "(1 + i)^periods a year, with i the rate at which level payments of (1 + flat × years) ÷ n are worth 1",
};

const FROM_GROWTH: Record<RateKind["kind"], string> = {
  nominal: "times a year × (growth^(1/times a year) − 1)",
  effective: "growth − 1",
  periodic: "growth^(1/periods a year) − 1",
  continuous: "ln growth",
  moneyFactor: "12 × (growth^(1/12) − 1) ÷ 2,400, in percent",
  flat: "(level payments at growth^(1/periods a year) − 1 − 1) ÷ years",
};

/**
 * How the rate of dated flows came about: what is received and what is paid are worth the same at it.
 *
 * @param apr by annualPercentageRate
 * @param effective percent a year, by effectiveAnnualRate
 * @example
 * const advances = [{ date: parseIsoDate("1978-01-10"), amount: 500_000 }];
 * const transaction = { advances, payments: monthly(24, "1978-02-10", 23_000) };
 * flowsWorking(transaction, annualPercentageRate(transaction).value, 10.13).result // "9.685708 %"
 */
export function flowsWorking(
  { advances, payments }: Transaction,
  apr: AnnualPercentageRate,
  effective: number,
): WorkingStep {
  const all = [...advances, ...payments];
  const days = all.map(({ date }) => date);
  const [first, last] = [Math.min(...days), Math.max(...days)];
  const { unitPeriod } = apr;
  const unit = {
    days: () => counted("days" in unitPeriod ? unitPeriod.days : 1, "day"),
    halfMonth: () => "half a month",
    months: () => counted("months" in unitPeriod ? unitPeriod.months : 1, "month"),
  }[unitPeriod.unit]();
  const flows = `${advances.length} received and ${payments.length} paid, from ${isoDate(first)} to ${isoDate(last)}`;
  return {
    name: "APR",
    formula:
      "the rate at which Σ received ÷ ((1 + f × i)(1 + i)^t) = Σ paid ÷ ((1 + f × i)(1 + i)^t), × unit periods a year",
    filled: flows,
    result: percent(apr.percent, 6),
    source: "12 CFR 1026, Appendix J",
    remark: `t counts whole unit periods since the first flow, f the part of one that is left; the unit period is ${unit}.`,
    parts: [
      {
        name: "Effective yearly rate",
        formula: "the rate x at which Σ received ÷ (1 + x)^years = Σ paid ÷ (1 + x)^years",
        filled: `${flows}; years by the days and months between`,
        result: percent(effective, 6),
        source: "Directive 2008/48/EC, Annex I; odd days as in directive 2014/17/EU, Annex I",
        parts: [],
      },
    ],
  };
}
