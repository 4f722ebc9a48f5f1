import { contractRate, type Quote } from "@/core";
import { type DealerOfOption, officerShareInWords, reserveInWords } from "@/exchange/dealer";

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
