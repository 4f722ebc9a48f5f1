import { FREQUENCY_NAMES, periodsPerYear } from "../../../calendar";
import { sumText, type Term, totalWithPayments } from "../../../structure";
import { asGiven, moneyWriter, type WorkingStep } from "../../../working";
import { leaseCreditCosts, leaseEffectiveRate } from "../after/effective-rate";
import { LEASE_RATE_NOTICE, type LeaseQuote } from "../pricing";
import { foundStep } from "./found";

/** A figure of a lease's quote that can show its working. */
export type WorkedLeaseFigure = keyof typeof EXPLAIN;

const EXPLAIN = {
  found: explainFound,
  payment: explainPayment,
  basePayment: explainBasePayment,
  adjustedCapitalizedCost: explainCost,
  residual: explainResidual,
  depreciation: explainDepreciation,
  rentCharge: explainRentCharge,
  yearlyRate: explainYearlyRate,
  implicitYearlyRate: explainImplicitRate,
  effectiveRate: explainEffectiveRate,
  dueAtSigning: explainDue,
  totalOfPayments: explainTotalOfPayments,
  totalIfReturned: explainIfReturned,
  totalIfBought: explainIfBought,
};

export const WORKED_LEASE_FIGURES = Object.keys(EXPLAIN) as WorkedLeaseFigure[];

/**
 * How a figure of a lease's quote came about, as a tree of steps with the numbers filled in.
 *
 * @param quote an answered lease
 * @param figure the figure to explain
 * @example leaseWorking(vanLeaseQuote, "rentCharge").filled // "36 × 735.48 − 21,760.00"
 */
export function leaseWorking(quote: LeaseQuote, figure: WorkedLeaseFigure): WorkingStep {
  return EXPLAIN[figure](quote);
}

const rowsOf = ({ schedule }: LeaseQuote) => schedule.filter(({ kind }) => kind !== "closing").length;
const isAtOnce = (quote: LeaseQuote) => quote.filled.plan.inAdvance === quote.payments;

/** The figure that the lease looks for, whichever it is. */
function explainFound(quote: LeaseQuote): WorkingStep {
  if (quote.deal.find === "payment") return explainPayment(quote);
  return { ...foundStep(quote), parts: [explainPayment(quote)] };
}

function explainPayment(quote: LeaseQuote): WorkingStep {
  const money = moneyWriter(quote);
  const { basePayment, tax, payment } = quote;
  return {
    name: "Payment",
    formula: "payment before tax + its taxes",
    filled: `${money(basePayment)} + ${money(tax)}`,
    result: money(payment),
    parts: [explainBasePayment(quote)],
  };
}

function explainBasePayment(quote: LeaseQuote): WorkingStep {
  const { plan } = quote.filled;
  const rules = { nearest: "rounded to the nearest", up: "rounded up to the next", down: "rounded down to" };
  const step = moneyWriter(quote)(plan.roundingStep ?? 1);
  return {
    name: isAtOnce(quote) ? "All payments at once, before tax" : "Payment before tax",
    ...(plan.reckoning === "moneyFactor" ? byFactor(quote) : byYield(quote)),
    result: moneyWriter(quote)(quote.basePayment),
    rounding: `${rules[plan.rounding]} ${step}`,
    parts: [explainCost(quote), explainResidual(quote)],
  };
}

function byFactor(quote: LeaseQuote): { formula: string; filled: string } {
  const money = moneyWriter(quote);
  const { cost, residual, payments, filled } = quote;
  const perYear = periodsPerYear(filled.plan.frequency);
  const months = perYear === 12 ? ["", ""] : [" × 12 ÷ payments a year", ` × 12 ÷ ${perYear}`];
  const all = isAtOnce(quote) ? [" × payments", ` × ${payments}`] : ["", ""];
  return {
    formula: `depreciation ÷ payments + (cost + residual) × money factor${months[0]}${all[0] && `, the whole${all[0]}`}`,
    filled: `${money(cost - residual)} ÷ ${payments} + ${money(cost + residual)} × ${filled.plan.moneyFactor}${months[1]}${all[1] && `, the whole${all[1]}`}`,
  };
}

const PLACES = 8;

function byYield(quote: LeaseQuote): { formula: string; filled: string } {
  const money = moneyWriter(quote);
  const { cost, residual, payments, filled } = quote;
  const { inAdvance, yearlyRate, frequency, residualDue } = filled.plan;
  const rate = Number(yearlyRate) / 100 / periodsPerYear(frequency);
  const later = payments - inAdvance;
  const residualAt = { lastPayment: later, onePeriodAfter: later + 1, end: payments }[residualDue];
  const atEnd = (1 + rate) ** -residualAt;
  const left = `${money(cost)} − ${money(residual)} × ${atEnd.toFixed(PLACES)}`;
  const worthOfResidual = "cost − residual × its worth today";
  if (isAtOnce(quote)) return { formula: worthOfResidual, filled: left };
  const annuity = rate === 0 ? later : (1 - (1 + rate) ** -later) / rate;
  return {
    formula: `(${worthOfResidual}) ÷ (payments at signing + worth of 1 in each of the others)`,
    filled: `(${left}) ÷ (${inAdvance} + ${annuity.toFixed(PLACES)})`,
  };
}

function explainCost(quote: LeaseQuote): WorkingStep {
  const money = moneyWriter(quote);
  return {
    name: "Adjusted capitalized cost",
    ...sumText(quote.lines, money),
    result: money(quote.cost),
    parts: [],
  };
}

function explainResidual(quote: LeaseQuote): WorkingStep {
  const money = moneyWriter(quote);
  const { residual: given } = quote.filled.plan;
  if (quote.deal.find === "residual" || quote.deal.find === "residualPercent") return foundStep(quote);
  if (given === null || "amount" in given) return asGiven("Residual", money(quote.residual));
  const of = given.of === "price" ? quote.price : (quote.filled.listPrice ?? 0);
  return {
    name: "Residual",
    formula: `percent of the ${given.of === "price" ? "agreed price" : "list price"}`,
    filled: `${given.percent} % of ${money(of)}`,
    result: money(quote.residual),
    rounding: `rounded to the nearest ${money(1)}, halves up`,
    parts: [],
  };
}

function explainDepreciation(quote: LeaseQuote): WorkingStep {
  const money = moneyWriter(quote);
  return {
    name: "Depreciation",
    formula: "adjusted capitalized cost − residual",
    filled: `${money(quote.cost)} − ${money(quote.residual)}`,
    result: money(quote.depreciation),
    source: "12 CFR 1013.4(f)",
    parts: [explainCost(quote), explainResidual(quote)],
  };
}

function explainRentCharge(quote: LeaseQuote): WorkingStep {
  const money = moneyWriter(quote);
  return {
    name: "Rent charge",
    formula: "all payments before tax − depreciation",
    filled: `${rowsOf(quote)} × ${money(quote.basePayment)} − ${money(quote.depreciation)}`,
    result: money(quote.rentCharge),
    source: "12 CFR 1013.4(f)",
    parts: [explainBasePayment(quote), explainDepreciation(quote)],
  };
}

function explainYearlyRate(quote: LeaseQuote): WorkingStep {
  const { plan } = quote.filled;
  if (quote.deal.find === "yearlyRate") return foundStep(quote);
  if (plan.reckoning === "levelYield") return asGiven("Yearly rate", `${plan.yearlyRate} %`);
  return {
    name: "Yearly rate",
    formula: "money factor × 2,400",
    filled: `${plan.moneyFactor} × 2,400`,
    result: `${Number(quote.yearlyRate.toFixed(PLACES))} %`,
    remark: LEASE_RATE_NOTICE,
    parts: [],
  };
}

function explainImplicitRate(quote: LeaseQuote): WorkingStep {
  const money = moneyWriter(quote);
  const { cost, basePayment, residual, filled } = quote;
  const { frequency, inAdvance } = filled.plan;
  const rows = rowsOf(quote);
  const atSigning = isAtOnce(quote) ? 1 : inAdvance;
  return {
    name: "Implicit yearly rate",
    formula: "the rate at which all payments before tax and the residual, at their dates, are worth the cost",
    filled: `${money(cost)} against ${rows} × ${money(basePayment)}, ${atSigning} of them at signing, and ${money(residual)}`,
    result: `${quote.implicitYearlyRate.toFixed(4)} %`,
    rounding: `a year, compounded ${FREQUENCY_NAMES[frequency].every}`,
    remark: LEASE_RATE_NOTICE,
    source: "12 CFR 1013.4(s)",
    parts: [],
  };
}

function explainEffectiveRate(quote: LeaseQuote): WorkingStep {
  const money = moneyWriter(quote);
  const { cost, residual, filled } = quote;
  const rate = leaseEffectiveRate(quote);
  const name = "Effective yearly rate if bought";
  if (!rate.ok) return { ...asGiven(name, "–"), remark: rate.failure.sentence };
  const costs = leaseCreditCosts(quote);
  return {
    name,
    formula:
      "the rate X at which Σ payment ÷ (1 + X)^years is what is got: the cost without what the credit costs",
    filled: `${money(cost)} − ${money(costs)} = Σ of ${rowsOf(quote)} payments before tax and ${money(residual + filled.plan.purchaseFee)} at the end`,
    result: `${rate.value.toFixed(4)} %`,
    remark: `Taxes are left out on both sides, for a purchase bears them, too. ${LEASE_RATE_NOTICE}`,
    source: "Directive 2008/48/EC, Annex I; odd days as in directive 2014/17/EU, Annex I",
    parts: [explainCost(quote)],
  };
}

function explainDue(quote: LeaseQuote): WorkingStep {
  const money = moneyWriter(quote);
  const { items, total } = quote.dueAtSigning;
  if (items.length === 0) return asGiven("Due at signing", money(0));
  return {
    name: "Due at signing",
    ...sumText(
      items.map(({ name, amount }): Term => ({ name, sign: amount < 0 ? -1 : 1, amount: Math.abs(amount) })),
      money,
    ),
    result: money(total),
    remark: "A deposit that was paid already, rebates and trade-ins are not in it.",
    source: "12 CFR 1013.4(b)",
    parts: [],
  };
}

const term = (name: string, amount: number): Term[] =>
  amount === 0 ? [] : [{ name, sign: amount < 0 ? -1 : 1, amount: Math.abs(amount) }];

/** What every total has: the payments, and what is paid at signing beside them. */
function spentTerms(quote: LeaseQuote): Term[] {
  const { payment, withPayments, dueAtSigning, deposit } = quote;
  const rows = rowsOf(quote);
  return [
    { name: `${rows} payments with tax`, sign: 1, amount: rows * payment },
    ...term("charges with payments", totalWithPayments(withPayments, rows)),
    ...dueAtSigning.items.flatMap(({ figure, name, amount }) =>
      figure === "payment" || figure === "securityDeposit" ? [] : term(name, amount),
    ),
    ...term("deposit paid", deposit),
  ];
}

function totalStep(
  quote: LeaseQuote,
  name: string,
  others: Term[],
  total: number,
  source?: string,
): WorkingStep {
  const money = moneyWriter(quote);
  return {
    name,
    ...sumText([...spentTerms(quote), ...others], money),
    result: money(total),
    remark: "A security deposit is given back and not in it.",
    ...(source !== undefined && { source }),
    parts: [explainPayment(quote)],
  };
}

function explainTotalOfPayments(quote: LeaseQuote): WorkingStep {
  const { equity, rebates, filled, totalOfPayments } = quote;
  const others = [
    ...term("trade-ins, less owed", Math.max(equity, 0)),
    ...term("rebates", rebates),
    ...term("disposition fee", filled.plan.dispositionFee),
  ];
  return totalStep(quote, "Total of payments", others, totalOfPayments, "12 CFR 1013.4(e)");
}

function explainIfReturned(quote: LeaseQuote): WorkingStep {
  const { equity, filled, totalIfReturned } = quote;
  const others = [
    ...term("trade-ins, less owed", equity),
    ...term("disposition fee", filled.plan.dispositionFee),
  ];
  return totalStep(quote, "Total if handed back", others, totalIfReturned);
}

function explainIfBought(quote: LeaseQuote): WorkingStep {
  const { equity, residual, filled, purchaseTax, totalIfBought } = quote;
  const others = [
    ...term("trade-ins, less owed", equity),
    ...term("residual", residual),
    ...term("fee for buying", filled.plan.purchaseFee),
    ...term("tax on buying", purchaseTax),
  ];
  return totalStep(quote, "Total if bought", others, totalIfBought);
}
