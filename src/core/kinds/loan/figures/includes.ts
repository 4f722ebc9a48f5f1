// What each cost of a loan includes, in a few words; its working says all of it.
import { AMOUNT_LINE_NAMES, AMOUNT_LINES } from "../../../amount-lines";
import { moneyWriter } from "../../../working";
import type { Answered } from "../../kind";
import type { LoanSummary } from "../quote";

type Loan = Answered<LoanSummary>;

export function includedInFinanceCharge({ quote }: Loan): string {
  const { totalInterest, financeCharge } = quote;
  const others = financeCharge - totalInterest;
  if (others === 0) return "all interest; no fees";
  const money = moneyWriter(quote);
  return `interest ${money(totalInterest)} + fees ${money(others)}`;
}

const whyNone = (rates: Loan["rates"]) => (rates?.ok === false ? rates.failure.sentence : undefined);

export function includedInApr({ quote, rates }: Loan): string {
  const hasFees = quote.financeCharge > quote.totalInterest;
  return whyNone(rates) ?? (hasFees ? "a year: interest + fees" : "a year, by Regulation Z");
}

export const includedInEffectiveRate = ({ rates }: Loan): string =>
  whyNone(rates) ?? "a year, interest on interest";

/** The first of what is due at signing. */
export function includedAtSigning({ quote: { dueAtSigning } }: Loan): string {
  const [first, ...others] = dueAtSigning.items;
  if (!first) return "nothing";
  return others.length === 0 ? first.name : `${first.name} and ${others.length} more`;
}

export function includedInTotalCost({ quote }: Loan): string {
  const { structure } = quote.filled;
  const { tradeIns } = structure;
  const isTraded = tradeIns.some(({ allowance }) => (allowance ?? 0) > 0);
  const isAtSigning = quote.dueAtSigning.items.some(
    ({ figure }) => figure !== "down" && figure !== "payment",
  );
  const parts = [
    "payments",
    ...(quote.charges ? ["charges with them"] : []),
    ...(quote.down > 0 ? ["down"] : []),
    ...(isAtSigning ? ["fees at signing"] : []),
    ...AMOUNT_LINE_NAMES.filter(line => AMOUNT_LINES[line].ownCost > 0 && (structure[line] ?? 0) > 0).map(
      line => AMOUNT_LINES[line].label.toLowerCase(),
    ),
    ...(isTraded ? ["trade-in"] : []),
  ];
  return `${parts.join(" + ")}${tradeIns.some(({ owed }) => owed > 0) ? " − owed on it" : ""}`;
}
