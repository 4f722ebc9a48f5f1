import { eachCharge } from "../../../structure";
import type { Capitalized } from "./capitalized";
import type { LeaseDeal } from "./lease";
import type { LeaseDueItem } from "./quote";
import type { LeaseTerms } from "./terms";

const isAtSigning = ({ paid }: { paid: string }) => paid === "atSigning";

/** What is paid on the day of signing (12 CFR 1013.4(b)), less trade-ins and rebates, which are no money of that day. */
export function leaseDueItems(
  { structure, plan }: LeaseDeal,
  terms: LeaseTerms,
  found: Capitalized,
): LeaseDueItem[] {
  const items: LeaseDueItem[] = [];
  const take = (figure: LeaseDueItem["figure"], name: string, amount: number) => {
    if (amount > 0) items.push({ figure, name, amount });
  };
  const count = terms.isAtOnce ? 1 : terms.atSigning;
  if (found.cash < 0) items.push({ figure: "down", name: "capitalized instead", amount: found.cash });
  take("down", structure.names?.down ?? "cash down", found.cash);
  take("payment", nameOfPayments(terms, count), paidAtSigning(terms, found));
  take("securityDeposit", "security deposit", found.securityDeposit);
  if (plan.acquisitionFee && !plan.acquisitionFee.isFinanced)
    take("acquisitionFee", "acquisition fee", plan.acquisitionFee.amount);
  for (const { name, amount, isFinanced: isIn } of found.taxes) if (!isIn) take("tax", name, amount);
  eachCharge(structure.fees, found.fees, isAtSigning, (name, amount) => take("fee", name, amount));
  eachCharge(structure.extras, found.extras, isAtSigning, (name, amount) => take("extra", name, amount));
  return items;
}

function nameOfPayments({ isAtOnce }: LeaseTerms, count: number): string {
  if (isAtOnce) return "all payments";
  if (count === 1) return "first payment";
  return count === 2 ? "first and last payment" : `first and last ${count - 1} payments`;
}

/** What is due at signing besides the cash, in minor units. */
export function dueBesidesCash(lease: LeaseDeal, terms: LeaseTerms, found: Capitalized): number {
  let due = 0;
  for (const { figure, amount } of leaseDueItems(lease, terms, found)) if (figure !== "down") due += amount;
  return due;
}

/** The payments that fall at signing, with tax and what falls with them. */
export function paidAtSigning(terms: LeaseTerms, { base = 0, tax, withPayments }: Capitalized): number {
  const count = terms.isAtOnce ? 1 : terms.atSigning;
  if (count === 0) return 0;
  const { first, last, each } = withPayments;
  return count * (base + tax + each) + first + (terms.isAtOnce ? last : 0);
}
