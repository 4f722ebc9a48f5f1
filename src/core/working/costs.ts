import { machineOf, type Quote } from "../quote";
import { totalCostText } from "../structure";
import { explainAmountFinanced } from "./amounts";
import { explainLastPayment } from "./payment";
import { moneyWriter, type WorkingStep } from "./step";

/** Everything that is paid after signing. */
export function explainTotalOfPayments(quote: Quote): WorkingStep {
  const money = moneyWriter(quote);
  const { payments, payment, finalPayment, totalOfPayments, balloon, isLevel, extraEach } = quote;
  const hasExtras = extraEach > 0 || machineOf(quote).loan.extras.length > 0;
  const name = "Total of payments";
  const result = money(totalOfPayments);
  const remark = "The last payment is the balance with its interest, so that nothing is left owing.";
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
export function explainFinanceCharge(quote: Quote): WorkingStep {
  const money = moneyWriter(quote);
  const charge = quote.deal.plan.prepaidCharge ?? 0;
  return {
    name: "Finance charge",
    formula: "total of payments − amount financed",
    filled: `${money(quote.totalOfPayments)} − ${money(quote.amountFinanced)}`,
    result: money(quote.financeCharge),
    remark:
      charge > 0
        ? "Includes all interest and the charge paid at signing."
        : "Includes all interest. This deal has no fees.",
    parts: [explainTotalOfPayments(quote), explainAmountFinanced(quote)],
  };
}

/** Everything that leaves the customer's pocket. */
export function explainTotalCost(quote: Quote): WorkingStep {
  const money = moneyWriter(quote);
  const charge = quote.deal.plan.prepaidCharge ?? 0;
  const { formula, filled } = totalCostText(quote.filled.structure, quote.totalOfPayments, money);
  return {
    name: "Total cost",
    formula: `${formula}${charge > 0 ? " + charge paid at signing" : ""}`,
    filled: `${filled}${charge > 0 ? ` + ${money(charge)}` : ""}`,
    result: money(quote.totalCost),
    remark: "The same as the price plus the finance charge: the old loan on the trade-in was owed anyway.",
    parts: [explainTotalOfPayments(quote)],
  };
}
