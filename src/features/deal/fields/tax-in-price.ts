import type { StructureFile } from "@/exchange/structure";

/** The structure with its taxes added to the price. */
export function withTaxAdded({ taxIncluded: _, ...structure }: StructureFile): StructureFile {
  return structure;
}

/** The structure with its taxes in the price, where nothing is credited or capped. */
export function withTaxIncluded({ taxes = [], rebates, ...structure }: StructureFile): StructureFile {
  return {
    ...structure,
    taxIncluded: true,
    taxes: taxes.map(({ name, rate, on, rounding }) => ({ name, rate, on, ...(rounding && { rounding }) })),
    ...(rebates && { rebates: rebates.map(({ name, amount }) => ({ name, amount })) }),
  };
}
