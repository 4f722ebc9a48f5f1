import { currencyDecimals, formatAmount, type LoanQuote } from "@/core";
import { rateText } from "@/core/map";
import { withEachAmount } from "@/exchange/extra-payments/each-extra";
import type { LoanFile } from "@/exchange/kinds/loan";
import { withOptional } from "@/exchange/members";
import type { AskedKind } from "../../option/asked-kind";
import { describedLoan } from "./described";
import { LOAN_SAID } from "./said";
import { rebateOrLowRate, withOrWithoutBalloon } from "./usual";

/** What views, the palette and the bargaining ask of a loan. */
export const LOAN_ASKED: AskedKind<LoanFile, LoanQuote> = {
  priceName: "Price",
  rateFigure: () => "yearlyRate",
  planAt: (inputs, figure, value) => ({ ...inputs, plan: planAt(inputs, figure, value) }),
  plannedPayments: ({ plannedPayments }) => plannedPayments,
  canBeOverTerms: ({ isListed }) => !isListed,
  withOrWithoutBalloon,
  rebateOrLowRate,
  described: describedLoan,
  said: LOAN_SAID,
};

type Plan = LoanFile["plan"];
type Figure = Parameters<(typeof LOAN_ASKED)["planAt"]>[1];

function planAt({ plan, currency }: LoanFile, figure: Figure, value: number | string): Plan {
  const amount = () => formatAmount(Number(value), currencyDecimals(currency) ?? 2);
  switch (figure) {
    case "payments":
      return { ...plan, payments: Number(value) };
    case "yearlyRate":
      return { ...plan, yearlyRate: typeof value === "string" ? value : rateText(value) };
    case "balloon":
      return withOptional(plan, "balloon", value === 0 ? undefined : withAmount(amount(), plan.balloon));
    case "extraEach":
      return { ...plan, extra: { ...plan.extra, each: withEachAmount(plan.extra?.each, amount()) } };
    default:
      return plan;
  }
}

/** A balloon of another amount, given back as before. */
const withAmount = (amount: string, before: Plan["balloon"]) => ({
  amount,
  ...(before?.returnable && { returnable: before.returnable }),
});
