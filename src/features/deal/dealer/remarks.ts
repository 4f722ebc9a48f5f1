import type { Quote } from "@/core";
import { type DealerOfOption, officerShareInWords, reserveInWords } from "@/exchange/dealer";

/** What the customer signs: percent a year, or a money factor. */
export const contractRate = ({ filled }: Quote): string => {
  const { plan } = filled;
  return (
    (plan.kind === "lease" && plan.reckoning === "moneyFactor" ? plan.moneyFactor : plan.yearlyRate) ?? "0"
  );
};

/** Such as "6.49 contract, by present value, at most 2,500.00". */
export function reserveRemark(quote: Quote, { reserve }: DealerOfOption): string {
  const how = reserve
    ? reserveInWords(reserve, quote.filled.currency).split(";")[0]
    : "none agreed: see below";
  return `${contractRate(quote)} contract, ${how}`;
}

/** Such as "officer: 12 % of the back gross less 200.00". */
export const shareRemark = ({ officerShare }: DealerOfOption, currency: string): string =>
  officerShare ? `officer: ${officerShareInWords(officerShare, currency)}` : "";
