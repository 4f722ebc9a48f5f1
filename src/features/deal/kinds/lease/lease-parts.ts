import { wholeText } from "@/core";
import type { LeasePlanFile } from "@/exchange/kinds/lease";
import { withOptional } from "@/exchange/members";
import type { LeasePlanFieldName } from "./fields/lease-fields";

/** A part that a lease can have besides what every one has. */
export type LeasePart = {
  name: string;
  fields: readonly LeasePlanFieldName[];
  has: (plan: LeasePlanFile) => boolean;
  /** What it is in this lease, in a few words. */
  words: (plan: LeasePlanFile, money: (typed: string | number) => string) => string;
  add: (plan: LeasePlanFile) => LeasePlanFile;
  takeOut: (plan: LeasePlanFile) => LeasePlanFile;
};

type Key = "securityDeposit" | "distance" | "dispositionFee" | "purchaseFee" | "earlyFee" | "roundingStep";
type Valued<Member extends Key> = NonNullable<LeasePlanFile[Member]>;
type Money = (typed: string | number) => string;

function part<Member extends Key>(
  name: string,
  key: Member,
  value: Valued<Member>,
  words: (typed: Valued<Member>, money: Money) => string,
  ...others: LeasePlanFieldName[]
): LeasePart {
  return {
    name,
    fields: [`lease/${key}`, ...others],
    has: plan => plan[key] !== undefined,
    words: (plan, money) => (plan[key] === undefined ? "" : words(plan[key] as Valued<Member>, money)),
    add: plan => ({ ...plan, [key]: value }),
    takeOut: plan => withOptional(plan, key, undefined),
  };
}

/** Every part, in the order in which they stand. */
export const LEASE_PARTS: readonly LeasePart[] = [
  part("fee when handed back", "dispositionFee", "0", (fee, money) => `${money(fee)} when handed back`),
  part("fee when bought", "purchaseFee", "0", (fee, money) => `${money(fee)} when bought`),
  {
    ...part("fee for ending early", "earlyFee", "0", (fee, money) => `${money(fee)} for ending early`),
    has: ({ earlyFee, surplus }) => earlyFee !== undefined || surplus !== undefined,
    takeOut: plan => withOptional(withOptional(plan, "earlyFee", undefined), "surplus", undefined),
  },
  part("security deposit", "securityDeposit", { roundedUpTo: "50" }, (deposit, money) =>
    "amount" in deposit
      ? `deposit ${money(deposit.amount)}`
      : `deposit: a payment, up to the next ${money(deposit.roundedUpTo)}`,
  ),
  part(
    "distance",
    "distance",
    { perYear: 12000, unit: "mi", beyond: "0.22" },
    ({ perYear, unit, beyond }) => `${wholeText(perYear)} ${unit} a year, then ${beyond} each`,
    "lease/beyond",
    "lease/expected",
  ),
  part("rounding step", "roundingStep", "1", (step, money) => `rounded in steps of ${money(step)}`),
];
