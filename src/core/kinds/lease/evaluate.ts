import { PERCENT_OF_FACTOR } from "../../interest";
import { groupedAmount, readCurrency } from "../../money";
import { failure, type Result, success } from "../../result";
import { isDownFromDue } from "../../structure";
import { findLease } from "./find/find";
import { paymentParts } from "./pricing/base-payment";
import { dueFallsWithCash } from "./pricing/capitalize";
import type { Capitalized } from "./pricing/capitalized";
import { leaseDueItems } from "./pricing/due";
import { bearsRent, implicitRate } from "./pricing/implicit-rate";
import type { LeaseDeal } from "./pricing/lease";
import { leaseLines } from "./pricing/lines";
import { type PricedLease, priceLease } from "./pricing/price";
import { missingLeaseFigures } from "./pricing/problems";
import type { LeaseQuote } from "./pricing/quote";
import { leaseTable } from "./pricing/table";
import { paymentTax, purchaseTax } from "./pricing/taxes";
import type { LeaseTerms } from "./pricing/terms";

/**
 * Answers a lease: finds its figure, then the lessor's table and what it all costs.
 *
 * @param lease money in minor units, money factor and rates as typed, dates as day numbers
 * @returns the quote, or a failure with the figure to blame and a plain sentence
 * @example evaluateLease(vanLease).value.basePayment // 73548
 */
export function evaluateLease(lease: LeaseDeal): Result<LeaseQuote> {
  const decimals = readCurrency(lease.currency);
  if (!decimals.ok) return decimals;
  const priced = pricedOf(lease);
  if (!priced.ok) return priced;
  return quoteOf(lease, priced.value.filled, priced.value.priced, decimals.value);
}

function pricedOf(lease: LeaseDeal): Result<{ filled: LeaseDeal; priced: PricedLease }> {
  const missing = missingLeaseFigures(lease);
  if (missing) return { ok: false, failure: missing };
  const filled = findLease(lease);
  if (!filled.ok) return filled;
  const priced = priceLease(filled.value);
  return priced.ok ? success({ filled: filled.value, priced: priced.value }) : priced;
}

/** What a lease comes to, in minor units, without its table and its rates. */
export type LeaseSummary = Pick<
  LeaseQuote,
  "payment" | "rentCharge" | "dueAtSigning" | "totalIfReturned" | "withPayments"
>;

/**
 * The same as {@link evaluateLease} without the table and the implicit rate, for many leases.
 *
 * @example summarizeLease(vanLease).value.payment // 73548
 */
export function summarizeLease(lease: LeaseDeal): Result<LeaseSummary> {
  const decimals = readCurrency(lease.currency);
  if (!decimals.ok) return decimals;
  const answer = pricedOf(lease);
  if (!answer.ok) return answer;
  const { filled, priced } = answer.value;
  const { terms, found, base } = priced;
  return bearsRent(terms, found.cost, base, found.residual)
    ? success(summaryOf(filled, priced))
    : nothingBearsRent(terms, found, base, decimals.value);
}

function summaryOf(filled: LeaseDeal, { terms, found, base, spent: spentOf }: PricedLease) {
  const { cost, residual, tax, equity } = found;
  const items = leaseDueItems(filled, terms, found);
  const depreciation = cost - residual;
  const spent = spentOf(filled);
  return {
    payment: base + tax,
    depreciation,
    rentCharge: (terms.isAtOnce ? 1 : terms.payments) * base - depreciation,
    dueAtSigning: { items, total: items.reduce((sum, { amount }) => sum + amount, 0) },
    spent,
    totalIfReturned: spent + equity + filled.plan.dispositionFee,
    withPayments: found.withPayments,
  };
}

function quoteOf(
  lease: LeaseDeal,
  filled: LeaseDeal,
  priced: PricedLease,
  decimals: number,
): Result<LeaseQuote> {
  const { structure, plan } = filled;
  const { terms, found, base } = priced;
  const { cost, residual, tax, cash } = found;
  const implicit = implicitRate(terms, cost, base, residual);
  if (!implicit) return nothingBearsRent(terms, found, base, decimals);
  const rate = "rate" in terms.by ? terms.by.rate : implicit;
  const { perYear } = terms;
  const { payment, depreciation, rentCharge, dueAtSigning, spent, totalIfReturned } = summaryOf(
    filled,
    priced,
  );
  const tradedIn = Math.max(found.equity, 0);
  const atPurchase = purchaseTax(plan.taxes, residual + plan.purchaseFee);
  const yearlyRate =
    "factor" in terms.by
      ? (terms.by.factor.digits / terms.by.factor.scale) * PERCENT_OF_FACTOR
      : Number(plan.yearlyRate);
  return success({
    // Each by its name: a copy of all would be slow to make, and to read.
    price: found.price,
    fees: found.fees,
    extras: found.extras,
    taxes: found.taxes,
    residual,
    equity: found.equity,
    rebates: found.rebates,
    deposit: found.deposit,
    gross: found.gross,
    reduction: found.reduction,
    cost,
    tax,
    securityDeposit: found.securityDeposit,
    withPayments: found.withPayments,
    kind: "lease",
    deal: lease,
    filled,
    decimals,
    lines: leaseLines(structure, plan, found),
    down: cash,
    allowance: allowanceOf(lease, filled),
    payments: terms.payments,
    basePayment: base,
    parts: paymentParts(terms, cost, residual, base),
    payment,
    paymentTaxes: plan.taxes.map(each => paymentTax([each], base)),
    depreciation,
    rentCharge,
    moneyFactor: Math.round((yearlyRate / PERCENT_OF_FACTOR) * FACTOR_SCALE) / FACTOR_SCALE,
    yearlyRate,
    implicitYearlyRate: implicit.value * perYear * 100,
    dueAtSigning,
    totalOfPayments: spent + tradedIn + found.rebates + plan.dispositionFee,
    totalIfReturned,
    totalIfBought: spent + found.equity + residual + plan.purchaseFee + atPurchase,
    purchaseTax: atPurchase,
    schedule: leaseTable(terms, { cost, residual, base, tax, rate }),
    startDate: plan.signed,
    firstDate: terms.dateOf(terms.atSigning > 0 ? 0 : 1),
    finalDate: terms.dateOf(terms.residualAt),
    note: noteOf(lease, terms, found, decimals),
  });
}

/** The allowance for the first trade-in, or for the one that was found, in minor units. */
function allowanceOf(lease: LeaseDeal, filled: LeaseDeal): number {
  const open = lease.structure.tradeIns.findIndex(({ allowance }) => allowance === null);
  return filled.structure.tradeIns[Math.max(open, 0)]?.allowance ?? 0;
}

const FACTOR_SCALE = 10 ** 8;

/** What is said of cash that follows from what is due at signing. */
function noteOf(
  lease: LeaseDeal,
  terms: LeaseTerms,
  { cash }: Capitalized,
  decimals: number,
): string | undefined {
  if (cash < 0) return capitalizedNote(-cash, decimals);
  const isFromDue = lease.find === "down" && lease.from?.figure === "dueAtSigning";
  const isSmallest =
    (isFromDue || isDownFromDue(lease.structure.down)) && dueFallsWithCash(lease, terms) && cash > 0;
  return isSmallest
    ? `More cash down leaves less due at signing here: ${groupedAmount(cash, decimals)} is the smallest with which no more is due.`
    : undefined;
}

function capitalizedNote(amount: number, decimals: number): string {
  return `What is due at signing does not pay for everything that falls due that day: ${groupedAmount(amount, decimals)} of it is capitalized.`;
}

function nothingBearsRent(
  { isAtOnce, atSigning }: LeaseTerms,
  { cost }: Capitalized,
  base: number,
  decimals: number,
): Result<never> {
  const paid = groupedAmount(base * (isAtOnce ? 1 : atSigning), decimals);
  return failure(
    "inAdvance",
    `The ${paid} paid at signing cover the adjusted capitalized cost of ${groupedAmount(cost, decimals)}, so that nothing is left to bear rent.`,
  );
}
