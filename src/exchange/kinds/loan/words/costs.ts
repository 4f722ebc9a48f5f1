import { AMOUNT_LINE_NAMES, AMOUNT_LINES, type CostOfCredit, type LoanQuote, type Result } from "@/core";
import { amountText } from "../../../text";

/** A loan with its yearly rates; undefined while they are not known yet. */
type CostedLoan = { quote: LoanQuote; rates: Result<CostOfCredit> | undefined };

/** What a loan really costs, in order: each figure by its name, as text, and with what it includes in a few words. */
export const LOAN_COSTS = [
  {
    figure: "financeCharge",
    name: "Finance charge",
    text: ({ quote }: CostedLoan) => amountText(quote.financeCharge, quote.deal.currency),
    includes: ({ quote }: CostedLoan) => includedInFinanceCharge(quote),
  },
  {
    figure: "apr",
    name: "APR",
    text: ({ rates }: CostedLoan) => rateText(rates, "apr"),
    includes: includedInApr,
  },
  {
    figure: "effectiveRate",
    name: "Effective rate",
    text: ({ rates }: CostedLoan) => rateText(rates, "effectiveRate"),
    includes: ({ rates }: CostedLoan) => whyNone(rates) ?? "a year, interest on interest",
    /** Shown only where credit is compared by it. */
    isEffectiveRate: true,
  },
  {
    figure: "dueAtSigning",
    name: "Due at signing",
    text: ({ quote }: CostedLoan) => amountText(quote.dueAtSigning.total, quote.deal.currency),
    includes: ({ quote }: CostedLoan) => includedAtSigning(quote),
  },
  {
    figure: "totalCost",
    name: "Total cost",
    text: ({ quote }: CostedLoan) => amountText(quote.totalCost, quote.deal.currency),
    includes: ({ quote }: CostedLoan) => includedInTotalCost(quote),
  },
] as const;

function includedInFinanceCharge({ totalInterest, financeCharge, deal }: LoanQuote): string {
  const others = financeCharge - totalInterest;
  if (others === 0) return "all interest; no fees";
  const money = (minor: number) => amountText(minor, deal.currency);
  return `interest ${money(totalInterest)} + fees ${money(others)}`;
}

const RATE_PLACES = { apr: 4, effectiveRate: 2 };

function rateText(rates: CostedLoan["rates"], rate: keyof typeof RATE_PLACES): string {
  if (!rates) return "…";
  return rates.ok ? `${rates.value[rate].toFixed(RATE_PLACES[rate])} %` : "none";
}

const whyNone = (rates: CostedLoan["rates"]) => (rates?.ok === false ? rates.failure.sentence : undefined);

function includedInApr({ quote, rates }: CostedLoan): string {
  const hasFees = quote.financeCharge > quote.totalInterest;
  return whyNone(rates) ?? (hasFees ? "a year: interest + fees" : "a year, by Regulation Z");
}

/** The first of what is due at signing; its working lists all of it. */
function includedAtSigning({ dueAtSigning: { items } }: LoanQuote): string {
  if (items.length === 0) return "nothing";
  const [first, ...others] = items;
  return others.length === 0 ? (first?.name ?? "") : `${first?.name} and ${others.length} more`;
}

function includedInTotalCost({ filled: { structure }, charges, dueAtSigning, down }: LoanQuote): string {
  const { tradeIns } = structure;
  const isTraded = tradeIns.some(({ allowance }) => (allowance ?? 0) > 0);
  const isAtSigning = dueAtSigning.items.some(({ figure }) => figure !== "down" && figure !== "payment");
  const parts = [
    "payments",
    ...(charges ? ["charges with them"] : []),
    ...(down > 0 ? ["down"] : []),
    ...(isAtSigning ? ["fees at signing"] : []),
    ...AMOUNT_LINE_NAMES.filter(line => AMOUNT_LINES[line].ownCost > 0 && (structure[line] ?? 0) > 0).map(
      line => AMOUNT_LINES[line].label.toLowerCase(),
    ),
    ...(isTraded ? ["trade-in"] : []),
  ];
  return `${parts.join(" + ")}${tradeIns.some(({ owed }) => owed > 0) ? " − owed on it" : ""}`;
}
