import { ownCostTerms, sumText, type Term, totalWithPayments } from "../../../structure";
import { moneyWriter, type WorkingStep } from "../../../working";
import { type LoanQuote, machineOf } from "../quote";
import { chargedAmounts, explainAmountFinanced } from "./amounts";
import { explainLastPayment } from "./payment";

/** Everything that is paid after signing. */
export function explainTotalOfPayments(quote: LoanQuote): WorkingStep {
  const money = moneyWriter(quote);
  const { payments, payment, finalPayment, totalOfPayments, balloon, isLevel, extraEach, charges } = quote;
  const hasExtras = extraEach > 0 || machineOf(quote).loan.extras.length > 0;
  const name = "Total of payments";
  const result = money(totalOfPayments);
  const remark = "The last payment is the balance with its interest, so that nothing is left owing.";
  const withPayments = charges ? totalWithPayments(charges.inFinanceCharge, quote.paymentsMade) : 0;
  if (withPayments > 0) {
    return {
      name,
      formula: "payments of the loan + charges with them that count in the finance charge",
      filled: `${money(totalOfPayments - withPayments)} + ${money(withPayments)}`,
      result,
      parts: [explainLastPayment(quote)],
    };
  }
  if (!isLevel || hasExtras) {
    return {
      name,
      formula: "all payments of the table added up",
      filled: balloon > 0 ? `${money(totalOfPayments - balloon)} + ${money(balloon)}` : result,
      result,
      ...(balloon > 0 && { remark: "The second figure is the balloon." }),
      parts: [explainLastPayment(quote)],
    };
  }
  const end = balloon > 0 ? [" + the balloon", ` + ${money(balloon)}`] : ["", ""];
  return {
    name,
    formula: `level payments + the last payment${end[0]}`,
    filled: `${payments - 1} × ${money(payment)} + ${money(finalPayment)}${end[1]}`,
    result,
    remark,
    parts: [],
  };
}

/** What the credit costs. */
export function explainFinanceCharge(quote: LoanQuote): WorkingStep {
  const money = moneyWriter(quote);
  return {
    name: "Finance charge",
    formula: "total of payments − amount financed",
    filled: `${money(quote.totalOfPayments)} − ${money(quote.amountFinanced)}`,
    result: money(quote.financeCharge),
    remark: financeChargeRemark(quote),
    parts: [explainTotalOfPayments(quote), explainAmountFinanced(quote)],
  };
}

/** What a finance charge includes. */
function financeChargeRemark(quote: LoanQuote): string {
  const fees = chargedAmounts(quote).map(({ charge }) => charge);
  const counted = fees.filter(({ isFinanceCharge }) => isFinanceCharge).map(({ name }) => name);
  if ((quote.deal.plan.prepaidCharge ?? 0) > 0) counted.push("the charge paid at signing");
  const list = counted.length > 1 ? `${counted.slice(0, -1).join(", ")} and ${counted.at(-1)}` : counted[0];
  if (list !== undefined) return `Includes all interest and ${list}.`;
  return fees.length > 0
    ? "Includes all interest. No fee of this deal counts in it."
    : "Includes all interest. This deal has no fees.";
}

/** Everything that leaves the customer's pocket. */
export function explainTotalCost(quote: LoanQuote): WorkingStep {
  const money = moneyWriter(quote);
  const { lines, dueAtSigning, charges, loanAmount, totalInterest, paymentsMade, filled } = quote;
  const payments: Term = { name: "total of payments", sign: 1, amount: loanAmount + totalInterest };
  const withPayments = charges ? totalWithPayments(charges.all, paymentsMade) : 0;
  const atSigning = dueAtSigning.items.filter(({ figure }) => figure !== "down" && figure !== "payment");
  const terms: Term[] = [
    payments,
    ...(withPayments > 0 ? [{ name: "charges with payments", sign: 1 as const, amount: withPayments }] : []),
    ...ownCostTerms(lines),
    ...atSigning.map(({ name, amount }): Term => ({ name, sign: 1, amount })),
  ];
  const { taxes, fees, extras, rebates, personal } = filled.structure;
  const isPlain = !taxes && !fees && !extras && !rebates && !personal;
  return {
    name: "Total cost",
    ...sumText(terms, money),
    result: money(quote.totalCost),
    ...(isPlain && {
      remark: "The same as the price plus the finance charge: the old loan on the trade-in was owed anyway.",
    }),
    parts: [explainTotalOfPayments(quote)],
  };
}
