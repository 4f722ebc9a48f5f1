import { sumText, type Term } from "../../../structure";
import { asGiven, moneyWriter, type WorkingStep } from "../../../working";
import type { LoanQuote } from "../quote";
import { chargedAmounts } from "./amounts";

/** What is paid on the day of signing. */
export function explainDueAtSigning(quote: LoanQuote): WorkingStep {
  const money = moneyWriter(quote);
  const { items, total } = quote.dueAtSigning;
  const name = "Due at signing";
  if (items.length === 0)
    return { ...asGiven(name, money(0)), remark: "Nothing is paid on the day of signing." };
  return {
    name,
    ...sumText(
      items.map((item): Term => ({ name: item.name, sign: 1, amount: item.amount })),
      money,
    ),
    result: money(total),
    remark: "A deposit that was paid already, rebates and the trade-in are not in it.",
    parts: [],
  };
}

/** What a personal loan pays out to the customer. */
export function explainCashReceived(quote: LoanQuote): WorkingStep {
  const money = moneyWriter(quote);
  const { cashReceived, loanAmount, filled } = quote;
  const name = "Cash received";
  if (cashReceived === undefined)
    return { ...asGiven(name, "–"), remark: "Only a personal loan pays money out to the customer." };
  const kept = chargedAmounts(quote).flatMap(({ charge, amount }): Term[] =>
    charge.paid === "financed" || charge.paid === "keptBack" ? [{ name: charge.name, sign: -1, amount }] : [],
  );
  const payoffs = (filled.structure.personal?.payoffs ?? []).map(
    (payoff): Term => ({ name: `paid off: ${payoff.name}`, sign: -1, amount: payoff.amount }),
  );
  return {
    name,
    ...sumText([{ name: "loan amount", sign: 1, amount: loanAmount }, ...kept, ...payoffs], money),
    result: money(cashReceived),
    parts: [],
  };
}
