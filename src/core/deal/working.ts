import { exactPaymentPerUnit } from "../annuity";
import { decimalText, groupedAmount, type Rounding } from "../money";
import type { Quote } from "./quote";
import { PERIODS_PER_YEAR } from "./terms";

/** A figure of a quote that can show its working. */
export type WorkedFigure =
  | "amountFinanced"
  | "price"
  | "down"
  | "payment"
  | "totalOfPayments"
  | "financeCharge"
  | "totalCost";

/** One step of how a figure came about. */
export type WorkingStep = {
  /** What the step computes. */
  name: string;
  /** The formula in words. */
  formula: string;
  /** The formula with the numbers filled in. */
  filled: string;
  /** The result, rounded as stated. */
  result: string;
  /** How the result was rounded, where it was. */
  rounding?: string;
  /** What the figure includes, or where the convention comes from. */
  remark?: string;
  /** The steps that this one builds on. */
  parts: WorkingStep[];
};

/** How a figure was rounded: "rounded to the nearest 0.01, halves up". */
function roundingText({ terms }: Quote, rounding: Rounding): string {
  const smallest = groupedAmount(1, terms.decimals);
  return {
    nearest: `rounded to the nearest ${smallest}, halves up`,
    up: `rounded up to ${smallest}`,
    down: `rounded down to ${smallest}`,
  }[rounding];
}

/**
 * How a figure of a quote came about, as a tree of steps with the numbers filled in.
 *
 * @param quote an answered deal
 * @param figure the figure to explain
 * @example working(quote, "financeCharge").filled // "49,245.87 − 40,700.00"
 */
export function working(quote: Quote, figure: WorkedFigure): WorkingStep {
  return EXPLAIN[figure](quote);
}

const EXPLAIN: Record<WorkedFigure, (quote: Quote) => WorkingStep> = {
  amountFinanced: explainAmountFinanced,
  price: explainFoundPrice,
  down: explainDown,
  payment: explainPayment,
  totalOfPayments: explainTotalOfPayments,
  financeCharge: explainFinanceCharge,
  totalCost: explainTotalCost,
};

/** Writes a quote's money for people. */
function amountWriter({ terms }: Quote): (minor: number) => string {
  return minor => groupedAmount(minor, terms.decimals);
}

function explainAmountFinanced(quote: Quote): WorkingStep {
  const money = amountWriter(quote);
  const { allowance, owed } = quote.deal.structure.tradeIn;
  return {
    name: "Amount financed",
    formula: "price − trade-in allowance + owed on the trade-in − cash down",
    filled: `${money(quote.price)} − ${money(allowance)} + ${money(owed)} − ${money(quote.down)}`,
    result: money(quote.amountFinanced),
    remark: "What is still owed on the trade-in is added, because the new loan pays it off.",
    parts: quote.deal.find === "payment" && !isPercentDown(quote) ? [] : [explainDown(quote)],
  };
}

function isPercentDown({ deal }: Quote): boolean {
  return deal.structure.down !== null && "percent" in deal.structure.down;
}

function explainDown(quote: Quote): WorkingStep {
  const money = amountWriter(quote);
  const { down } = quote.deal.structure;
  if (quote.deal.find === "down") {
    return {
      name: "Cash down",
      formula: "the smallest cash down whose payment does not pass the payment asked for",
      filled: `payment ${money(quote.payment)} is at most ${money(quote.deal.plan.payment ?? 0)}`,
      result: money(quote.down),
      remark: "Less cash down would take the payment over, unless none is needed at all.",
      parts: [],
    };
  }
  if (down && "percent" in down) {
    return {
      name: "Cash down",
      formula: "percent of the price",
      filled: `${down.percent} % of ${money(quote.price)}`,
      result: money(quote.down),
      rounding: roundingText(quote, "nearest"),
      parts: [],
    };
  }
  return {
    name: "Cash down",
    formula: "as given",
    filled: money(quote.down),
    result: money(quote.down),
    parts: [],
  };
}

function explainFoundPrice(quote: Quote): WorkingStep {
  const money = amountWriter(quote);
  const found = quote.deal.find === "price";
  return {
    name: "Price",
    formula: found ? "the largest price whose payment does not pass the payment asked for" : "as given",
    filled: found
      ? `payment ${money(quote.payment)} is at most ${money(quote.deal.plan.payment ?? 0)}`
      : money(quote.price),
    result: money(quote.price),
    ...(found && { remark: "A higher price would take the payment over." }),
    parts: found ? [explainAmountFinanced(quote), explainPayment(quote)] : [],
  };
}

function explainPeriodRate({ terms }: Quote): WorkingStep {
  const { digits, scale } = terms.yearlyRate;
  const percent = decimalText({ numerator: BigInt(digits), denominator: BigInt(scale) }, 8);
  const monthly = { numerator: BigInt(digits), denominator: BigInt(scale * PERIODS_PER_YEAR) };
  return {
    name: "Rate of one month",
    formula: "yearly rate ÷ 12",
    filled: `${percent} % ÷ 12`,
    result: `${decimalText(monthly, 8)} %`,
    parts: [],
  };
}

function counted(count: number, unit: string): string {
  return `${count} ${unit}${count === 1 ? "" : "s"}`;
}

function explainPayment(quote: Quote): WorkingStep {
  const money = amountWriter(quote);
  const { terms, amountFinanced } = quote;
  const { rate, firstSpan } = terms;
  const planned = terms.payments;
  const perUnit = exactPaymentPerUnit(terms);
  const minorPerMajor = 10n ** BigInt(terms.decimals);
  const unrounded = decimalText(
    {
      numerator: perUnit.numerator * BigInt(amountFinanced),
      denominator: perUnit.denominator * minorPerMajor,
    },
    6,
  );
  const regular = firstSpan.months === 1 && firstSpan.days === 0;
  const i = decimalText({ numerator: BigInt(rate.numerator), denominator: BigInt(rate.denominator) }, 10);
  const level =
    rate.numerator === 0
      ? { formula: "amount financed ÷ payments", filled: `${money(amountFinanced)} ÷ ${planned}` }
      : {
          formula: `amount financed × i ÷ (1 − (1 + i)^−n)${regular ? "" : " × (1 + i·f) ÷ (1 + i)"}`,
          filled:
            `${money(amountFinanced)} × ${i} ÷ (1 − (1 + ${i})^−${planned})` +
            (regular ? "" : ` × (1 + ${i} × ${terms.firstPeriod.numerator}/30) ÷ (1 + ${i})`),
        };
  const span = `${counted(firstSpan.months, "month")} and ${counted(firstSpan.days, "day")}`;
  const oddFirst = `The first period f is ${span} at simple interest, a day being 1/30 of a month (12 CFR 1026, Appendix J).`;
  return {
    name: "Payment",
    ...level,
    result: money(quote.payment),
    rounding: `${unrounded} ${roundingText(quote, quote.deal.plan.rounding)}`,
    remark: `i is the rate of one month as a fraction and n the number of payments.${regular ? "" : ` ${oddFirst}`}`,
    parts: [explainPeriodRate(quote), explainAmountFinanced(quote)],
  };
}

function explainTotalOfPayments(quote: Quote): WorkingStep {
  const money = amountWriter(quote);
  return {
    name: "Total of payments",
    formula: "level payments + the last payment",
    filled: `${quote.payments - 1} × ${money(quote.payment)} + ${money(quote.finalPayment)}`,
    result: money(quote.totalOfPayments),
    remark: "The last payment is the balance with its interest, so that nothing is left owing.",
    parts: [],
  };
}

function explainFinanceCharge(quote: Quote): WorkingStep {
  const money = amountWriter(quote);
  return {
    name: "Finance charge",
    formula: "total of payments − amount financed",
    filled: `${money(quote.totalOfPayments)} − ${money(quote.amountFinanced)}`,
    result: money(quote.financeCharge),
    remark: "Includes all interest. This deal has no fees.",
    parts: [explainTotalOfPayments(quote), explainAmountFinanced(quote)],
  };
}

function explainTotalCost(quote: Quote): WorkingStep {
  const money = amountWriter(quote);
  const { allowance, owed } = quote.deal.structure.tradeIn;
  return {
    name: "Total cost",
    formula: "total of payments + cash down + trade-in allowance − owed on the trade-in",
    filled: `${money(quote.totalOfPayments)} + ${money(quote.down)} + ${money(allowance)} − ${money(owed)}`,
    result: money(quote.totalCost),
    remark: "The same as the price plus the finance charge: the old loan on the trade-in was owed anyway.",
    parts: [explainTotalOfPayments(quote)],
  };
}
