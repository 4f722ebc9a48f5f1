import type { Structure } from "../../structure";

/** A deal with so much more financed than by its own lines; less, where it is below zero. */
export function financingMore<Of extends { structure: Structure }>(deal: Of, more: number): Of {
  const { structure } = deal;
  const extra = {
    name: "",
    amount: { minor: more },
    isTaxable: false,
    paid: "financed",
    isFinanceCharge: false,
  } as const;
  return { ...deal, structure: { ...structure, extras: [...(structure.extras ?? []), extra] } };
}
