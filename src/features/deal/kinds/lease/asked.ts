import { currencyDecimals, factorOf, formatAmount, type LeaseQuote } from "@/core";
import { RATE_UNITS, rateText } from "@/core/map";
import type { LeaseFile } from "@/exchange/kinds/lease";
import { factorOfRate } from "@/exchange/kinds/lease/reckoning";
import type { AskedKind, Usual } from "../../option/asked-kind";
import { describedLease } from "./described";
import { LEASE_SAID } from "./said";

const none = (sentence: string): Usual => ({ ok: false, sentence });

/** What views, the palette and the bargaining ask of a lease. */
export const LEASE_ASKED: AskedKind<LeaseFile, LeaseQuote> = {
  priceName: "Agreed price",
  rateFigure: plan =>
    "reckoning" in plan && plan.reckoning === "moneyFactor" ? "moneyFactor" : "yearlyRate",
  planAt: (inputs, figure, value) => ({ ...inputs, plan: planAt(inputs, figure, value) }),
  plannedPayments: ({ payments }) => payments,
  // Its residual hangs on the term.
  canBeOverTerms: () => false,
  withOrWithoutBalloon: () => none("A lease has a residual, no balloon."),
  rebateOrLowRate: () => none("A lease has no rate that a lender lowers for a rebate; a loan has."),
  described: describedLease,
  said: LEASE_SAID,
};

type Plan = LeaseFile["plan"];
type Figure = Parameters<(typeof LEASE_ASKED)["planAt"]>[1];

function planAt({ plan, currency }: LeaseFile, figure: Figure, value: number | string): Plan {
  switch (figure) {
    case "payments":
      return { ...plan, payments: Number(value) };
    case "yearlyRate":
      if (plan.reckoning !== "moneyFactor")
        return { ...plan, yearlyRate: typeof value === "string" ? value : rateText(value) };
      // The factor that goes with it stands in its place.
      return {
        ...plan,
        moneyFactor: typeof value === "string" ? factorOfRate(value) : factorOf(value / RATE_UNITS),
      };
    case "moneyFactor":
      return { ...plan, moneyFactor: String(value) };
    case "inAdvance":
      return { ...plan, inAdvance: Number(value) };
    case "residual":
      return {
        ...plan,
        residual: { amount: formatAmount(Number(value), currencyDecimals(currency) ?? 2) },
      };
    default:
      return plan;
  }
}
