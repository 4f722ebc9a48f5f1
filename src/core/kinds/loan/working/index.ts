import { isoDate } from "../../../calendar";
import { groupedAmount } from "../../../money";
import { asGiven, moneyWriter, type WorkingStep } from "../../../working";
import { knownFigure } from "../deal";
import type { LoanQuote } from "../quote";
import { explainAmountFinanced, explainDown, explainLoanAmount, foundFrom } from "./amounts";
import { explainApr, explainEffectiveRate, explainTrueYearlyRate } from "./cost-of-credit";
import { explainFinanceCharge, explainTotalCost, explainTotalOfPayments } from "./costs";
import { explainLastPayment, explainPayment } from "./payment";
import { explainPeriodRate } from "./rate";
import { explainCashReceived, explainDueAtSigning } from "./signing";
import { explainTaxes } from "./taxes";

export { roundingText } from "./payment";
export { type TaxWorking, taxWorking } from "./taxes";

/** A figure of a quote that can show its working. */
export type WorkedFigure = keyof typeof EXPLAIN;

const EXPLAIN = {
  price: explainPrice,
  allowance: explainAllowance,
  down: explainDown,
  taxTotal: explainTaxes,
  loanAmount: explainLoanAmount,
  amountFinanced: explainAmountFinanced,
  yearlyRate: explainYearlyRate,
  payment: explainPayment,
  payments: explainPayments,
  finalPayment: explainLastPayment,
  balloon: explainBalloon,
  totalOfPayments: explainTotalOfPayments,
  financeCharge: explainFinanceCharge,
  totalCost: explainTotalCost,
  dueAtSigning: explainDueAtSigning,
  cashReceived: explainCashReceived,
  apr: explainApr,
  effectiveRate: explainEffectiveRate,
  trueYearlyRate: explainTrueYearlyRate,
  savedInterest: explainSavedInterest,
  finalDate: explainFinalDate,
};

export const WORKED_FIGURES = Object.keys(EXPLAIN) as WorkedFigure[];

/**
 * How a figure of a quote came about, as a tree of steps with the numbers filled in.
 *
 * @param quote an answered deal
 * @param figure the figure to explain
 * @example loanWorking(quote, "financeCharge").filled // "49,245.87 − 40,700.00"
 */
export function loanWorking(quote: LoanQuote, figure: WorkedFigure): WorkingStep {
  return EXPLAIN[figure](quote);
}

function explainPrice(quote: LoanQuote): WorkingStep {
  const price = groupedAmount(quote.price, quote.decimals);
  if (quote.deal.find !== "price") return asGiven("Price", price);
  return {
    name: "Price",
    formula: "the largest price whose payment or cost does not pass the one asked for",
    filled: foundFrom(quote),
    result: price,
    remark: "A higher price would take it over.",
    parts: [explainLoanAmount(quote), explainPayment(quote)],
  };
}

function explainAllowance(quote: LoanQuote): WorkingStep {
  const allowance = groupedAmount(quote.allowance, quote.decimals);
  if (quote.deal.find !== "allowance") return asGiven("Trade-in allowance", allowance);
  return {
    name: "Trade-in allowance",
    formula: "the smallest allowance whose payment or cost does not pass the one asked for",
    filled: foundFrom(quote),
    result: allowance,
    parts: [explainLoanAmount(quote)],
  };
}

function explainYearlyRate(quote: LoanQuote): WorkingStep {
  const rate = `${quote.yearlyRate} %`;
  if (quote.deal.find !== "yearlyRate") {
    return { ...asGiven("Yearly rate", rate), parts: [explainPeriodRate(quote)] };
  }
  return {
    name: "Yearly rate",
    formula:
      "the highest rate whose payment or cost does not pass the one asked for, written with the fewest decimals",
    filled: foundFrom(quote),
    result: rate,
    remark: "Found by closing in on it from both sides, then tried exactly.",
    parts: [explainPayment(quote)],
  };
}

function explainPayments(quote: LoanQuote): WorkingStep {
  const { plannedPayments, payments, deal } = quote;
  if (knownFigure(deal) === "payment" && deal.find === "payments") return explainPaymentsFromPayment(quote);
  const found = deal.find === "payments" || (deal.plan.payments === null && !deal.plan.datedPayments);
  const early = plannedPayments - payments;
  return {
    name: "Number of payments",
    formula: found
      ? "the number of payments whose payment or cost does not pass the one asked for"
      : "as given",
    filled: found ? foundFrom(quote) : String(plannedPayments),
    result: String(payments),
    ...(early > 0 && {
      remark: `The loan ends ${early} payment dates before the ${plannedPayments} planned.`,
    }),
    parts: found && quote.kind !== "flatRate" ? [explainPayment(quote)] : [],
  };
}

/** How many payments of a given amount repay the loan. */
function explainPaymentsFromPayment(quote: LoanQuote): WorkingStep {
  const money = moneyWriter(quote);
  const { payments, payment, finalPayment, isLevel, filled } = quote;
  return {
    name: "Number of payments",
    formula: "the fewest payments of the given amount that repay the loan, the last one smaller",
    filled: isLevel
      ? `${payments - 1} × ${money(payment)} + ${money(finalPayment)}`
      : `${payments} payments, the first ${money(payment)}, the last ${money(finalPayment)}`,
    result: String(filled.plan.payments ?? payments),
    parts: [explainPayment(quote)],
  };
}

function explainBalloon(quote: LoanQuote): WorkingStep {
  const { deal, price, decimals } = quote;
  const balloon = groupedAmount(quote.agreedBalloon, decimals);
  const asked = deal.plan.balloon;
  if (deal.find === "balloon") {
    return {
      name: "Balloon",
      formula: "the balloon whose payment or cost does not pass the one asked for",
      filled: foundFrom(quote),
      result: balloon,
      parts: [explainPayment(quote)],
    };
  }
  if (!asked || "amount" in asked) return asGiven("Balloon", balloon);
  return {
    name: "Balloon",
    formula: "percent of the price",
    filled: `${asked.percent} % of ${groupedAmount(price, decimals)}`,
    result: balloon,
    rounding: `rounded to the nearest ${groupedAmount(1, decimals)}, halves up`,
    parts: [],
  };
}

function explainSavedInterest(quote: LoanQuote): WorkingStep {
  const { saved, totalInterest: interest } = quote;
  const money = moneyWriter(quote);
  if (!saved) return { ...asGiven("Interest saved", money(0)), remark: "There are no extra payments." };
  const { earlyFee = 0 } = saved;
  return {
    name: "Interest saved",
    formula: `interest without the extra payments − interest with them${earlyFee > 0 ? " − charge for paying early" : ""}`,
    filled: `${money(interest + saved.interest + earlyFee)} − ${money(interest)}${earlyFee > 0 ? ` − ${money(earlyFee)}` : ""}`,
    result: money(saved.interest),
    remark: `The loan ends ${saved.payments} payment dates sooner.`,
    parts: [],
  };
}

function explainFinalDate({ finalDate, firstDate, payments }: LoanQuote): WorkingStep {
  if (finalDate === null || firstDate === null) {
    return { ...asGiven("End date", "–"), remark: "Without a contract date there are no dates." };
  }
  return {
    name: "End date",
    formula: "first payment date + the periods after it",
    filled: `${isoDate(firstDate)} + ${payments - 1} periods`,
    result: isoDate(finalDate),
    remark: "Month steps keep the day of the first date, as far as the month has it.",
    parts: [],
  };
}
