import type { LeaseDeal, LeaseQuote } from "@/core";
import {
  agreedLines,
  datesOf,
  dateText,
  dayOf,
  daysOf,
  dueOf,
  tallyOf,
  withAgreedLines,
  withPaymentsOf,
} from "../kind/record-parts";
import type { LeaseRecord } from "./record.schema";

/** What is kept of a lease that is signed. */
export function recordOfLease(optionId: string, quote: LeaseQuote): LeaseRecord {
  const { keptEffectiveRate, parts } = quote;
  return {
    kind: "lease",
    optionId,
    version: 1,
    currency: quote.deal.currency,
    decimals: quote.decimals,
    agreed: agreedIn(quote.filled),
    figures: {
      price: quote.price,
      down: quote.down,
      allowance: quote.allowance,
      equity: quote.equity,
      rebates: quote.rebates,
      deposit: quote.deposit,
      grossCapitalizedCost: quote.gross,
      capitalizedCostReduction: quote.reduction,
      adjustedCapitalizedCost: quote.cost,
      residual: quote.residual,
      basePayment: quote.basePayment,
      paymentTax: quote.tax,
      payment: quote.payment,
      depreciation: quote.depreciation,
      rentCharge: quote.rentCharge,
      securityDeposit: quote.securityDeposit,
      totalOfPayments: quote.totalOfPayments,
      totalIfReturned: quote.totalIfReturned,
      totalIfBought: quote.totalIfBought,
      purchaseTax: quote.purchaseTax,
    },
    rates: {
      moneyFactor: quote.moneyFactor,
      yearlyRate: quote.yearlyRate,
      implicitYearlyRate: quote.implicitYearlyRate,
      ...(keptEffectiveRate !== undefined && { effectiveRate: keptEffectiveRate }),
    },
    payments: quote.payments,
    parts: { depreciation: parts.depreciation, rent: parts.rent },
    paymentTaxes: [...quote.paymentTaxes],
    fees: [...quote.fees],
    extras: [...quote.extras],
    taxes: quote.taxes.map(({ name, base, amount, isFinanced }) => ({ name, base, amount, isFinanced })),
    tally: tallyOf(quote.lines),
    due: dueOf(quote.dueAtSigning),
    withPayments: withPaymentsOf(quote.withPayments),
    dates: datesOf(quote),
    rows: quote.schedule.map(
      ({ number, period, kind, date, payment, base, rent, depreciation, tax, balance }) => ({
        number,
        period,
        kind,
        date: dateText(date),
        payment,
        base,
        rent,
        depreciation,
        tax,
        balance,
      }),
    ),
    words: { ...(quote.note !== undefined && { note: quote.note }) },
  };
}

/**
 * The answer that was signed, whatever the core would answer today.
 *
 * @param record as it was kept
 * @param lease what was typed of it, which stays while a deal is signed
 */
export function leaseOfRecord(record: LeaseRecord, lease: LeaseDeal): LeaseQuote {
  const { figures, rates } = record;
  return {
    kind: "lease",
    deal: lease,
    filled: withAgreed(lease, record.agreed),
    decimals: record.decimals,
    price: figures.price,
    fees: record.fees,
    extras: record.extras,
    taxes: record.taxes,
    residual: figures.residual,
    equity: figures.equity,
    rebates: figures.rebates,
    deposit: figures.deposit,
    gross: figures.grossCapitalizedCost,
    reduction: figures.capitalizedCostReduction,
    cost: figures.adjustedCapitalizedCost,
    tax: figures.paymentTax,
    securityDeposit: figures.securityDeposit,
    withPayments: record.withPayments,
    lines: record.tally,
    down: figures.down,
    allowance: figures.allowance,
    payments: record.payments,
    basePayment: figures.basePayment,
    parts: record.parts,
    payment: figures.payment,
    paymentTaxes: record.paymentTaxes,
    depreciation: figures.depreciation,
    rentCharge: figures.rentCharge,
    moneyFactor: rates.moneyFactor,
    yearlyRate: rates.yearlyRate,
    implicitYearlyRate: rates.implicitYearlyRate,
    dueAtSigning: record.due,
    totalOfPayments: figures.totalOfPayments,
    totalIfReturned: figures.totalIfReturned,
    totalIfBought: figures.totalIfBought,
    purchaseTax: figures.purchaseTax,
    schedule: record.rows.map(row => ({ ...row, date: dayOf(row.date) })),
    ...daysOf(record.dates),
    ...(rates.effectiveRate !== undefined && { keptEffectiveRate: rates.effectiveRate }),
    note: record.words.note,
  };
}

type Agreed = LeaseRecord["agreed"];

function agreedIn({ structure, plan }: LeaseDeal): Agreed {
  return {
    ...agreedLines(structure),
    residual: plan.residual,
    moneyFactor: plan.moneyFactor,
    yearlyRate: plan.yearlyRate,
    payments: plan.payments,
    payment: plan.payment,
  };
}

/** What was typed with what was agreed put in its place, so that nothing is left to find. */
function withAgreed({ structure, plan, from: _, ...lease }: LeaseDeal, agreed: Agreed): LeaseDeal {
  const { price: _price, down: _down, allowances: _allowances, ...found } = agreed;
  return {
    ...lease,
    find: "payment",
    structure: withAgreedLines(structure, agreed),
    plan: { ...plan, ...found },
  };
}
