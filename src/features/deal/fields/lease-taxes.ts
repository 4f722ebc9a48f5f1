import type { LeasePlanFile, LeaseTaxFile } from "@/exchange/kinds/lease";
import { definedOnly, withOptional } from "@/exchange/members";

/** The plan of a lease with some members of a tax changed; undefined takes one out. */
export function withLeaseTax(
  plan: LeasePlanFile,
  index: number,
  change: { [Member in keyof LeaseTaxFile]?: LeaseTaxFile[Member] | undefined },
): LeasePlanFile {
  const taxes = (plan.taxes ?? []).map((tax, k) =>
    k === index ? (definedOnly({ ...tax, ...change }) as LeaseTaxFile) : tax,
  );
  return { ...plan, taxes };
}

/** The plan with one more tax. */
export function withNewLeaseTax(plan: LeasePlanFile, tax: LeaseTaxFile): LeasePlanFile {
  return { ...plan, taxes: [...(plan.taxes ?? []), tax] };
}

/** The plan without a tax. */
export function withoutLeaseTax(plan: LeasePlanFile, index: number): LeasePlanFile {
  const taxes = (plan.taxes ?? []).filter((_, k) => k !== index);
  return withOptional(plan, "taxes", taxes.length > 0 ? taxes : undefined);
}
