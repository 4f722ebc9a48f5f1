import { type DueAtSigning, dueItems } from "../../../structure";
import { paidAtStart } from "../plan";
import type { Lent } from "./lend";

/**
 * Everything that is paid on the day of signing: the cash down, what is not financed, a finance charge of the plan, and
 * payments of that day.
 *
 * @param lent a deal's structure with its loan
 * @returns what comes to something, and its sum in minor units
 * @example dueAtSigning(lent).total // 300000
 */
export function dueAtSigning({ structure, reckoned, chargeAtSigning, loan }: Lent): DueAtSigning {
  const items = dueItems(structure, reckoned, paidAtStart(loan));
  if (chargeAtSigning > 0)
    items.push({ figure: "prepaidCharge", name: "charge paid at signing", amount: chargeAtSigning });
  return { items, total: items.reduce((sum, { amount }) => sum + amount, 0) };
}
