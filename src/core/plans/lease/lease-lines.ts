import { eachCharge, type Structure } from "../../structure";
import { type Capitalized, paidAtSigning } from "./capitalize";
import type { LeasePlan } from "./lease";
import type { LeaseDueItem, LeaseLine } from "./lease-quote";
import type { LeaseTerms } from "./terms";

/**
 * The tally from the agreed price to the adjusted capitalized cost: what is capitalised, then what lowers it.
 *
 * @returns a line for each that there is, with the subtotal after it
 */
export function leaseLines(structure: Structure, plan: LeasePlan, found: Capitalized): LeaseLine[] {
  const lines: LeaseLine[] = [];
  let running = 0;
  const take = (figure: LeaseLine["figure"], name: string, amount: number, sign: 1 | -1 = 1) => {
    running += sign * amount;
    lines.push({ figure, name, sign, amount, running });
  };
  const { price, fees, extras, taxes, equity, cash, deposit } = found;
  take("price", "agreed price", price);
  eachCharge(structure.fees, fees, isFinanced, (name, amount) => take("fee", name, amount));
  eachCharge(structure.extras, extras, isFinanced, (name, amount) => take("extra", name, amount));
  if (plan.acquisitionFee?.isFinanced) take("acquisitionFee", "acquisition fee", plan.acquisitionFee.amount);
  for (const tax of taxes) if (tax.isFinanced) take("tax", tax.name, tax.amount);
  if (equity < 0) take("equity", "owed on trade-ins beyond their worth", -equity);
  if (cash < 0) take("down", "not paid at signing", -cash);
  if (equity > 0) take("equity", "trade-ins, less owed", equity, -1);
  for (const { name, amount } of structure.rebates ?? []) take("rebate", name, amount, -1);
  if (deposit > 0) take("deposit", "deposit paid", deposit, -1);
  if (cash > 0) take("down", "cash down", cash, -1);
  return lines;
}

const isFinanced = ({ paid }: { paid: string }) => paid === "financed";
const isAtSigning = ({ paid }: { paid: string }) => paid === "atSigning";

/** What is paid on the day of signing (12 CFR 1013.4(b)), less trade-ins and rebates, which are no money of that day. */
export function leaseDueItems(
  structure: Structure,
  plan: LeasePlan,
  terms: LeaseTerms,
  found: Capitalized,
): LeaseDueItem[] {
  const items: LeaseDueItem[] = [];
  const take = (figure: LeaseDueItem["figure"], name: string, amount: number) => {
    if (amount > 0) items.push({ figure, name, amount });
  };
  const count = terms.isAtOnce ? 1 : terms.atSigning;
  if (found.cash < 0) items.push({ figure: "down", name: "capitalised instead", amount: found.cash });
  take("down", "cash down", found.cash);
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
