import type { LoanDeal, LoanQuote } from "@/core";
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
import type { LoanRecord } from "./record.schema";

/** What is kept of a loan that is signed. */
export function recordOfLoan(optionId: string, quote: LoanQuote): LoanRecord {
  const { reckoned, keptCost, saved, charges, schedule, oddFirstPeriod: odd } = quote;
  return {
    kind: "loan",
    optionId,
    version: 1,
    currency: quote.deal.currency,
    decimals: quote.decimals,
    plan: quote.kind,
    agreed: agreedIn(quote.filled),
    figures: {
      price: quote.price,
      down: quote.down,
      allowance: quote.allowance,
      priceWithAll: reckoned.total,
      ...(quote.cashReceived !== undefined && { cashReceived: quote.cashReceived }),
      loanAmount: quote.loanAmount,
      amountFinanced: quote.amountFinanced,
      payment: quote.payment,
      solved: quote.solved,
      finalPayment: quote.finalPayment,
      balloon: quote.balloon,
      agreedBalloon: quote.agreedBalloon,
      extraEach: quote.extraEach,
      totalOfPayments: quote.totalOfPayments,
      totalInterest: quote.totalInterest,
      financeCharge: quote.financeCharge,
      totalCost: quote.totalCost,
    },
    rates: {
      yearlyRate: quote.yearlyRate,
      ...(quote.trueYearlyRate !== undefined && { trueYearlyRate: quote.trueYearlyRate }),
      ...(keptCost && { credit: { apr: keptCost.apr, effectiveRate: keptCost.effectiveRate } }),
    },
    payments: {
      planned: quote.plannedPayments,
      count: quote.payments,
      made: quote.paymentsMade,
      isLevel: quote.isLevel,
      isListed: quote.isListed,
    },
    fees: [...reckoned.fees],
    extras: [...reckoned.extras],
    taxes: reckoned.taxes.map(({ name, base, amount }) => ({ name, base, amount })),
    taxTotal: reckoned.taxTotal,
    tally: tallyOf(quote.lines),
    due: dueOf(quote.dueAtSigning),
    ...(charges && {
      withPayments: {
        all: withPaymentsOf(charges.all),
        inFinanceCharge: withPaymentsOf(charges.inFinanceCharge),
      },
    }),
    dates: datesOf(quote),
    oddFirstPeriod: odd && { months: odd.months, days: odd.days },
    ...(saved && {
      saved: {
        interest: saved.interest,
        ...(saved.earlyFee !== undefined && { earlyFee: saved.earlyFee }),
        payments: saved.payments,
        finalDateWithout: dateText(saved.finalDateWithout),
      },
    }),
    rows: schedule.map(({ number, kind, date, payment, interest, principal, balance }) => ({
      number,
      kind,
      date: dateText(date),
      payment,
      interest,
      principal,
      balance,
    })),
    words: { ...(quote.note !== undefined && { note: quote.note }) },
  };
}

/**
 * The answer that was signed, whatever the core would answer today.
 *
 * @param record as it was kept
 * @param deal what was typed of it, which stays while a deal is signed
 */
export function loanOfRecord(record: LoanRecord, deal: LoanDeal): LoanQuote {
  const { figures, rates, payments, saved } = record;
  const { price, down, loanAmount } = figures;
  return {
    kind: record.plan,
    deal,
    filled: withAgreed(deal, record.agreed),
    decimals: record.decimals,
    price,
    down,
    allowance: figures.allowance,
    lines: record.tally,
    reckoned: {
      price,
      fees: record.fees,
      extras: record.extras,
      taxes: record.taxes,
      taxTotal: record.taxTotal,
      total: figures.priceWithAll,
      down,
      loanAmount,
    },
    dueAtSigning: record.due,
    ...(figures.cashReceived !== undefined && { cashReceived: figures.cashReceived }),
    ...(record.withPayments && { charges: record.withPayments }),
    loanAmount,
    amountFinanced: figures.amountFinanced,
    yearlyRate: rates.yearlyRate,
    ...(rates.trueYearlyRate !== undefined && { trueYearlyRate: rates.trueYearlyRate }),
    payment: figures.payment,
    solved: figures.solved,
    isLevel: payments.isLevel,
    isListed: payments.isListed,
    plannedPayments: payments.planned,
    payments: payments.count,
    paymentsMade: payments.made,
    finalPayment: figures.finalPayment,
    balloon: figures.balloon,
    agreedBalloon: figures.agreedBalloon,
    extraEach: figures.extraEach,
    totalOfPayments: figures.totalOfPayments,
    totalInterest: figures.totalInterest,
    financeCharge: figures.financeCharge,
    totalCost: figures.totalCost,
    ...daysOf(record.dates),
    oddFirstPeriod: record.oddFirstPeriod,
    ...(saved && { saved: { ...saved, finalDateWithout: dayOf(saved.finalDateWithout) } }),
    ...(record.words.note !== undefined && { note: record.words.note }),
    schedule: record.rows.map(row => ({ ...row, date: dayOf(row.date) })),
    ...(rates.credit && { keptCost: rates.credit }),
  };
}

type Agreed = LoanRecord["agreed"];

function agreedIn({ structure, plan }: LoanDeal): Agreed {
  const { balloon, extra } = plan;
  return {
    ...agreedLines(structure),
    yearlyRate: plan.yearlyRate,
    payments: plan.payments,
    payment: plan.payment,
    ...(balloon !== undefined && { balloon: amountOf(balloon) }),
    ...(extra?.each && { extraEach: extra.each.amount }),
    ...(extra?.once && { extraOnce: extra.once.map(({ amount }) => amount) }),
  };
}

/** A balloon without its return, which stands in what was typed. */
function amountOf(balloon: NonNullable<LoanDeal["plan"]["balloon"]> | null): Agreed["balloon"] {
  if (balloon === null) return null;
  return "percent" in balloon ? { percent: balloon.percent } : { amount: balloon.amount };
}

/** What was typed with what was agreed put in its place, so that nothing is left to find. */
function withAgreed({ structure, plan, from: _, ...deal }: LoanDeal, agreed: Agreed): LoanDeal {
  const { yearlyRate, payments, payment, balloon, extraEach, extraOnce } = agreed;
  const once = plan.extra?.once?.map((each, index) => ({ ...each, amount: extraOnce?.[index] ?? null }));
  const hasExtra = plan.extra !== undefined || extraEach !== undefined;
  return {
    ...deal,
    find: "payment",
    structure: withAgreedLines(structure, agreed),
    plan: {
      ...plan,
      yearlyRate,
      payments,
      payment,
      ...(balloon !== undefined && { balloon: balloon && { ...plan.balloon, ...balloon } }),
      ...(hasExtra && {
        extra: {
          ...plan.extra,
          ...(extraEach !== undefined && { each: { ...plan.extra?.each, amount: extraEach } }),
          ...(once && { once }),
        },
      }),
    },
  };
}
