import type { LeaseKnown } from "@/core";
import type { LeaseFile } from "@/exchange/kinds/lease";
import { withOptional } from "@/exchange/members";
import { amountReader, typedAmount } from "../../../fields/amount-text";
import type { LeaseField } from "../../../fields/field";

/** What a figure of a lease can be found from, as the screen names it. */
export const LEASE_KNOWN_NAMES: readonly (readonly [LeaseKnown, string])[] = [
  ["payment", "payment with tax"],
  ["basePayment", "payment before tax"],
  ["dueAtSigning", "sum due at signing"],
  ["totalIfReturned", "total if handed back"],
  ["totalIfBought", "total if bought"],
];

/** What the figure being found is found from. */
export function knownOf({ from }: LeaseFile): LeaseKnown {
  return from ? (Object.keys(from)[0] as LeaseKnown) : "payment";
}

/** The amount that the figure being found is found from; undefined where it was not typed yet. */
export function knownAmount({ from, plan }: LeaseFile): string | number | undefined {
  return from ? Object.values(from)[0] : plan.payment;
}

/** The lease with a figure that its own is found from. */
export function withKnown(file: LeaseFile, figure: LeaseKnown, amount: string | undefined): LeaseFile {
  const { from: _, ...rest } = file;
  if (figure === "payment") return { ...rest, plan: withOptional(file.plan, "payment", amount) };
  const plan = withOptional(file.plan, "payment", undefined);
  return { ...rest, plan, from: { [figure]: amount ?? "0" } as NonNullable<LeaseFile["from"]> };
}

/** The figure that another is found from, whichever it is. */
export const LEASE_KNOWN_FIELD: LeaseField = {
  label: "What it is found from",
  figure: knownOf,
  read: amountReader<LeaseFile>((file, amount) => withKnown(file, knownOf(file), amount)),
  show: ({ inputs }) => typedAmount(inputs, knownAmount(inputs)),
  say: ({ inputs }) => {
    const amount = typedAmount(inputs, knownAmount(inputs));
    const name = LEASE_KNOWN_NAMES.find(([figure]) => figure === knownOf(inputs))?.[1];
    return inputs.find === "payment" || amount === "" ? "" : `${name} of ${amount}`;
  },
};
