import { type Charge, chargesOf, isDownFromDue, sumText, type Term } from "../../../structure";
import { asGiven, moneyWriter, type WorkingStep } from "../../../working";
import { knownFigure } from "../deal";
import { MEASURES } from "../find";
import type { LoanQuote } from "../quote";
import { explainTaxes } from "./taxes";

/** What a formula calls the amount that interest is reckoned on: without prepaid charges it is the one financed. */
export function loanName({ loanAmount, amountFinanced }: LoanQuote): "loan amount" | "amount financed" {
  return loanAmount === amountFinanced ? "amount financed" : "loan amount";
}

/** What the customer has the use of. */
export function explainAmountFinanced(quote: LoanQuote): WorkingStep {
  const prepaid = prepaidTerms(quote);
  if (prepaid.length === 0) return explainLoanAmount(quote);
  const money = moneyWriter(quote);
  const loan: Term = { name: "loan amount", sign: 1, amount: quote.loanAmount };
  return {
    name: "Amount financed",
    ...sumText([loan, ...prepaid], money),
    result: money(quote.amountFinanced),
    source: "12 CFR 1026.18(b)",
    parts: [explainLoanAmount(quote)],
  };
}

/** What of the finance charge is paid at the start, taken off the loan amount. */
function prepaidTerms(quote: LoanQuote): Term[] {
  const charge = quote.deal.plan.prepaidCharge ?? 0;
  const atStart = ({ isFinanceCharge, paid }: Charge) =>
    isFinanceCharge && (paid === "financed" || paid === "atSigning" || paid === "keptBack");
  const fees = chargedAmounts(quote).flatMap(({ charge: each, amount }): Term[] =>
    atStart(each) ? [{ name: each.name, sign: -1, amount }] : [],
  );
  return charge > 0 ? [...fees, { name: "finance charge paid at signing", sign: -1, amount: charge }] : fees;
}

/** Each fee and extra with what it comes to. */
export function chargedAmounts({
  filled,
  reckoned: { fees, extras },
}: LoanQuote): { charge: Charge; amount: number }[] {
  const amounts = [...fees, ...extras];
  return chargesOf(filled.structure).map((charge, index) => ({ charge, amount: amounts[index] ?? 0 }));
}

/** How the structure leads to what the note says. */
export function explainLoanAmount(quote: LoanQuote): WorkingStep {
  const money = moneyWriter(quote);
  const { loanAmount, lines, reckoned, filled } = quote;
  const owes = filled.structure.tradeIns.some(({ owed }) => owed > 0);
  return {
    name: loanName(quote) === "loan amount" ? "Loan amount" : "Amount financed",
    ...sumText(lines, money),
    result: money(loanAmount),
    ...(owes && { remark: "What is still owed on the trade-in is added, because the new loan pays it off." }),
    parts: [
      ...(reckoned.taxTotal > 0 ? [explainTaxes(quote)] : []),
      ...percentCharges(quote),
      ...(isDownGiven(quote) ? [] : [explainDown(quote)]),
    ],
  };
}

function isDownGiven({ deal }: LoanQuote): boolean {
  const { down } = deal.structure;
  return deal.find !== "down" && deal.find !== "downPercent" && (down === null || "amount" in down);
}

const CHARGE_OF = {
  price: "percent of the price",
  loanAmount: "percent of the loan amount, which contains it",
  totalOfPayments: "percent of all payments of the loan",
};

/** Fees and extras that are a percent of something, with their numbers filled in. */
function percentCharges(quote: LoanQuote): WorkingStep[] {
  const money = moneyWriter(quote);
  const of = {
    price: quote.price,
    loanAmount: quote.loanAmount,
    totalOfPayments: quote.loanAmount + quote.totalInterest,
  };
  return chargedAmounts(quote).flatMap(({ charge, amount }) => {
    if (!("percent" in charge.amount)) return [];
    const { percent, of: base } = charge.amount;
    return [
      {
        name: charge.name,
        formula: CHARGE_OF[base],
        filled: `${percent} % of ${money(of[base])}`,
        result: money(amount),
        rounding: `rounded to the nearest ${money(1)}, halves up`,
        parts: [],
      },
    ];
  });
}

/** What a found figure was found from: "payment 500.00 is at most 500.00". */
export function foundFrom(quote: LoanQuote): string {
  const known = knownFigure(quote.deal) ?? "endDate";
  const { name, asked, text } = MEASURES[known];
  const { decimals } = quote;
  const reached = {
    payment: quote.payment,
    lastPayment: quote.finalPayment,
    totalCost: quote.totalCost,
    financeCharge: quote.financeCharge,
    loanAmount: quote.loanAmount,
    amountFinanced: quote.amountFinanced,
    dueAtSigning: quote.dueAtSigning.total,
    cashReceived: quote.cashReceived ?? 0,
    endDate: quote.finalDate ?? 0,
    payments: quote.payments,
  }[known];
  return `${name} ${text(reached, decimals)} is at most ${text(asked(quote.deal), decimals)}`;
}

/** Cash down: typed, a percent, what a sum due at signing leaves, or found. */
export function explainDown(quote: LoanQuote): WorkingStep {
  const money = moneyWriter(quote);
  const { deal, price } = quote;
  const { down } = deal.structure;
  const result = money(quote.down);
  if (deal.find === "down" || deal.find === "downPercent") {
    return {
      name: "Cash down",
      formula:
        knownFigure(deal) === "dueAtSigning"
          ? "the largest cash down with which no more is due at signing than asked for"
          : "the smallest cash down whose payment or cost does not pass the one asked for",
      filled: foundFrom(quote),
      result,
      ...(knownFigure(deal) !== "dueAtSigning" && {
        remark: "Less cash down would take it over, unless none is needed at all.",
      }),
      parts: [],
    };
  }
  if (isDownFromDue(down)) {
    const others = quote.dueAtSigning.items.filter(({ figure }) => figure !== "down");
    const due: Term = { name: "due at signing", sign: 1, amount: quote.dueAtSigning.total };
    return {
      name: "Cash down",
      ...sumText([due, ...others.map(({ name, amount }): Term => ({ name, sign: -1, amount }))], money),
      result,
      parts: [],
    };
  }
  if (down && "percent" in down) {
    const isOfTotal = down.of === "total";
    return {
      name: "Cash down",
      formula: isOfTotal ? "percent of the price with tax, fees and extras" : "percent of the price",
      filled: `${down.percent} % of ${money(isOfTotal ? quote.reckoned.total : price)}`,
      result,
      rounding: `rounded to the nearest ${money(1)}, halves up`,
      parts: [],
    };
  }
  return asGiven("Cash down", result);
}
