import { chargesOf, eachCharge } from "./charges";
import type { Reckoned } from "./reckon";
import type { Charge, Structure, Tax } from "./structure";

/** Something that is paid on the day of signing, in minor units. */
export type DueItem = {
  figure: "down" | "tax" | "fee" | "extra" | "payment" | "prepaidCharge";
  name: string;
  amount: number;
};

/** Everything that is paid at signing, and its sum. */
export type DueAtSigning = { items: readonly DueItem[]; total: number };

/** What of a plan's payments is paid on the day of signing, in minor units. */
export type PaidThatDay = {
  /** The first payment; null where it does not fall on that day. */
  first: number | null;
  /** Whether the first payment is the only one, and so the last. */
  isOnly: boolean;
  /** Extra payments of that day. */
  extra: number;
};

/** No payment falls on the day of signing. */
export const NOTHING_PAID: PaidThatDay = { first: null, isOnly: false, extra: 0 };

/**
 * What of a structure is paid at signing: the cash down, then what is not financed, then payments of that day with what
 * falls with them.
 *
 * @param structure as given
 * @param reckoned what its lines come to
 * @param paid what of the payments falls on that day; what falls with the first payment is due then only with it
 * @returns what comes to something, in the order of the lines
 * @example dueItems(structure, settle(structure), NOTHING_PAID) // [{ figure: "down", name: "cash down", amount: 300000 }]
 */
export function dueItems(structure: Structure, reckoned: Reckoned, paid: PaidThatDay): DueItem[] {
  const { down, fees, extras, taxes } = reckoned;
  const items: DueItem[] = [];
  const take = (figure: DueItem["figure"], name: string, amount: number) => {
    if (amount > 0) items.push({ figure, name, amount });
  };
  take("down", structure.names?.down ?? "cash down", down);
  if (!structure.isTaxIncluded)
    for (const [index, { name, isFinanced }] of (structure.taxes ?? NO_TAXES).entries())
      if (!isFinanced) take("tax", name, taxes[index]?.amount ?? 0);
  eachCharge(structure.fees, fees, isAtSigning, (name, amount) => take("fee", name, amount));
  eachCharge(structure.extras, extras, isAtSigning, (name, amount) => take("extra", name, amount));
  take("payment", "extra payment", paid.extra);
  if (paid.first === null) return items;
  take("payment", "first payment", paid.first);
  const isThen = paid.isOnly ? isWithAny : isWithFirst;
  eachCharge(structure.fees, fees, isThen, (name, amount) => take("payment", name, amount));
  eachCharge(structure.extras, extras, isThen, (name, amount) => take("payment", name, amount));
  return items;
}

const NO_TAXES: readonly Tax[] = [];
const isAtSigning = ({ paid }: Charge) => paid === "atSigning";
const isWithFirst = ({ paid }: Charge) => paid === "withFirstPayment" || paid === "withEachPayment";

const isWithAny = (charge: Charge) => isWithFirst(charge) || charge.paid === "withLastPayment";

/** What is due at signing besides the cash down, with payments of that day, in minor units. */
export function dueBesidesDown(structure: Structure, reckoned: Reckoned, paid: PaidThatDay): number {
  if (structure.fees === undefined && structure.extras === undefined && structure.taxes === undefined)
    return (paid.first ?? 0) + paid.extra;
  let sum = 0;
  for (const { figure, amount } of dueItems(structure, reckoned, paid)) if (figure !== "down") sum += amount;
  return sum;
}

/** Fees and extras that fall with payments: their sums in minor units, with the first, the last and each. */
export type ChargesWithPayments = { first: number; last: number; each: number };

const NO_CHARGES: ChargesWithPayments = { first: 0, last: 0, each: 0 };

/**
 * What falls with payments, without interest.
 *
 * @param counts which of them
 * @returns the sums; all 0 where nothing does
 */
export function chargesWithPayments(
  structure: Structure,
  { fees, extras }: Pick<Reckoned, "fees" | "extras">,
  counts: (charge: Charge) => boolean = () => true,
): ChargesWithPayments {
  const charges = chargesOf(structure);
  if (charges.length === 0) return NO_CHARGES;
  const sums = { ...NO_CHARGES };
  const amounts = fees.length > 0 ? [...fees, ...extras] : extras;
  for (const [index, charge] of charges.entries()) {
    const place = WITH[charge.paid];
    if (place && counts(charge)) sums[place] += amounts[index] ?? 0;
  }
  return sums;
}

const WITH: { [Paid in Charge["paid"]]?: keyof ChargesWithPayments } = {
  withFirstPayment: "first",
  withLastPayment: "last",
  withEachPayment: "each",
};

/** What falls with so many payments in all, in minor units. */
export function totalWithPayments({ first, last, each }: ChargesWithPayments, payments: number): number {
  return payments > 0 ? first + last + each * payments : 0;
}
