import { type LoanPlan, parseDecimal } from "@/core";
import type { Reader } from "../../../reading";
import type { Writer } from "../../../text";
import type { EarlyFeeFile } from "./early-fee.schema";
import type { PlanPart } from "./part";
import type { PlanFile } from "./plan.schema";

type EarlyFee = NonNullable<LoanPlan["earlyFee"]>[number];

/** What money that comes early is charged with. */
export const earlyFee: PlanPart = {
  read: (plan, read) => {
    const fees = earlyFeesOf(plan);
    return fees.length > 0 ? { earlyFee: fees.map(fee => readFee(fee, read)) } : undefined;
  },
  words: (plan, write) =>
    earlyFeesOf(plan).map(fee => `charge for paying early ${earlyFeeWords(fee, write)}`),
};

/** The charges of a plan in order: one alone is a list of it. */
export const earlyFeesOf = ({ earlyFee: fees = [] }: Pick<PlanFile, "earlyFee">): readonly EarlyFeeFile[] =>
  Array.isArray(fees) ? fees : [fees];

function readFee(fee: EarlyFeeFile, read: Reader): EarlyFee {
  const { amount, percent, interestPeriods, ...when } = fee;
  const given = [amount, percent, interestPeriods].filter(each => each !== undefined);
  if (given.length !== 1)
    read.refuse(
      "earlyFee",
      "A charge for paying early is an amount, a percent or a number of periods' interest; give one of amount, percent and interestPeriods.",
    );
  if (interestPeriods !== undefined) return { interestPeriods, ...when };
  if (percent === undefined)
    return { amount: read.amount("earlyFee", "charge for paying early", amount) ?? 0, ...when };
  const typed = parseDecimal(String(percent));
  if (!typed || typed.digits > 100 * typed.scale)
    read.refuse("earlyFee", `The charge for paying early is ${percent} %; it can be 0 to 100 %.`);
  return { percent: String(percent), ...when };
}

/**
 * A charge for paying early in words.
 *
 * @example earlyFeeWords({ percent: "1", until: 24 }, fileWriter("USD")) // "1 % up to payment 24"
 */
export function earlyFeeWords(
  { amount, percent, interestPeriods, until, most, on }: EarlyFeeFile,
  { money }: Writer,
): string {
  const size =
    percent !== undefined
      ? `${percent} %`
      : interestPeriods !== undefined
        ? `${interestPeriods} ${interestPeriods === 1 ? "period" : "periods"} of interest`
        : money(amount ?? "0");
  return [
    size,
    on === "anyEarlyMoney" ? " on any early money" : "",
    until === undefined ? "" : ` up to payment ${until}`,
    most === undefined ? "" : ", no more than the interest left",
  ].join("");
}
