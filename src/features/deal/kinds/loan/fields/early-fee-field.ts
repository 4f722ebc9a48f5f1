import { MOST_PAYMENTS } from "@/core";
import type { LoanFile } from "@/exchange/kinds/loan";
import { earlyFeesOf, earlyFeeWords } from "@/exchange/kinds/loan/plan/early-fee";
import type { EarlyFeeFile } from "@/exchange/kinds/loan/plan/early-fee.schema";
import { withOptional } from "@/exchange/members";
import { fileWriter } from "@/exchange/text";
import { readAmount, readPercent } from "../../../fields/amount-text";
import { bad, good, type LoanField } from "../../../fields/field";

const EXAMPLE =
  "type one such as 250, 1 % up to payment 24, or 2 periods of interest on any early money; several with a semicolon between them";

/** How much; then on what, until when, and up to what. */
const FEE =
  /^(.+?)(\s+on any(?: early)?(?: money)?)?(?:\s+(?:up to|until)(?: payment)?\s+(\d{1,4}))?(,?\s+no more than the interest left)?$/i;
const PERIODS = /^(\d{1,2})\s+periods?(?:\s+of)?(?:\s+interest)?$/i;
const MOST_PERIODS = 24;

/** What money that comes early is charged with, as people say it: "1 % up to payment 24; 250". */
export const EARLY_FEE_FIELD: LoanField = {
  label: "Charge for paying early",
  typed: "asItIs",
  read: (text, file) => {
    const put = (earlyFee: LoanFile["plan"]["earlyFee"]) =>
      good({ ...file, plan: withOptional(file.plan, "earlyFee", earlyFee) });
    if (text === "") return put({ amount: "0" });
    const fees: EarlyFeeFile[] = [];
    for (const part of text.split(";")) {
      const fee = readFee(part.trim(), file.currency);
      if (typeof fee === "string") return bad(fee);
      fees.push(fee);
    }
    const [first] = fees;
    return put(fees.length === 1 ? first : fees);
  },
  show: ({ inputs }) =>
    earlyFeesOf(inputs.plan)
      .map(fee => earlyFeeWords(fee, fileWriter(inputs.currency)))
      .join("; "),
};

/** One charge, or why it cannot be read. */
function readFee(text: string, currency: string): EarlyFeeFile | string {
  const [, size = "", onAny, until, most] = FEE.exec(text) ?? [];
  const wrong = `“${text}” is not a charge for paying early; ${EXAMPLE}.`;
  const amount = readSize(size.trim(), currency);
  const number = until === undefined ? undefined : Number(until);
  if (!amount || number === 0 || (number ?? 1) > MOST_PAYMENTS) return wrong;
  return {
    ...amount,
    ...(number !== undefined && { until: number }),
    ...(most !== undefined && { most: "interestLeft" as const }),
    ...(onAny !== undefined && { on: "anyEarlyMoney" as const }),
  };
}

function readSize(
  text: string,
  currency: string,
): Pick<EarlyFeeFile, "amount" | "percent" | "interestPeriods"> | undefined {
  const [, periods] = PERIODS.exec(text) ?? [];
  if (periods !== undefined) {
    const interestPeriods = Number(periods);
    return interestPeriods >= 1 && interestPeriods <= MOST_PERIODS ? { interestPeriods } : undefined;
  }
  if (text.endsWith("%")) {
    const percent = readPercent(text);
    return percent === undefined || Number(percent) > 100 ? undefined : { percent };
  }
  const read = readAmount(text, currency);
  return "amount" in read ? { amount: read.amount } : undefined;
}
