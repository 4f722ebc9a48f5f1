import type { Structure } from "../../structure";

/**
 * A deal with so much more financed than by its own lines; less, where it is below zero.
 *
 * @param cash what is paid down: the same as before, whatever it was a part of; below zero where none is
 */
export function financingMore<Of extends { structure: Structure }>(deal: Of, more: number, cash: number): Of {
  const { structure } = deal;
  const extra = {
    name: "",
    amount: { minor: more },
    isTaxable: false,
    paid: "financed",
    isFinanceCharge: false,
  } as const;
  const down = cash < 0 ? structure.down : { amount: cash };
  return { ...deal, structure: { ...structure, down, extras: [...(structure.extras ?? []), extra] } };
}
