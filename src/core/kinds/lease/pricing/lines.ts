import { eachCharge, type Structure } from "../../../structure";
import type { Capitalized } from "./capitalized";
import type { LeasePlan } from "./lease";
import type { LeaseLine } from "./quote";

/**
 * The tally from the agreed price to the adjusted capitalized cost: what is capitalized, then what lowers it.
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
  const { names } = structure;
  const { price, fees, extras, taxes, equity, cash, deposit } = found;
  take("price", names?.price ?? "agreed price", price);
  eachCharge(structure.fees, fees, isFinanced, (name, amount) => take("fee", name, amount));
  eachCharge(structure.extras, extras, isFinanced, (name, amount) => take("extra", name, amount));
  if (plan.acquisitionFee?.isFinanced) take("acquisitionFee", "acquisition fee", plan.acquisitionFee.amount);
  for (const tax of taxes) if (tax.isFinanced) take("tax", tax.name, tax.amount);
  if (equity < 0) take("equity", "owed on trade-ins beyond their worth", -equity);
  if (cash < 0) take("down", "not paid at signing", -cash);
  if (equity > 0) take("equity", "trade-ins, less owed", equity, -1);
  for (const { name, amount } of structure.rebates ?? []) take("rebate", name, amount, -1);
  if (deposit > 0) take("deposit", names?.deposit ?? "deposit paid", deposit, -1);
  if (cash > 0) take("down", names?.down ?? "cash down", cash, -1);
  return lines;
}

const isFinanced = ({ paid }: { paid: string }) => paid === "financed";
