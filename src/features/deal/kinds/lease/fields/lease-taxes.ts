import type { LeaseFile, LeasePlanFile, LeaseTaxFile } from "@/exchange/kinds/lease";
import { definedOnly, withOptional } from "@/exchange/members";
import type { Field } from "../../../fields/field";
import { type Line, partField } from "../../../fields/line-fields";

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

/** A field of one tax of a lease: "leaseTaxes/0/rate". */
export type LeaseTaxFieldName = `leaseTaxes/${number}/${string}`;

/** The field of a tax of a lease; undefined where none has it. */
export function leaseTaxField(name: string): Field | undefined {
  const [list, index = "", part = ""] = name.split("/");
  if (list !== "leaseTaxes") return undefined;
  const place = Number(index);
  return partField(
    {
      lineAt: file => (file as LeaseFile).plan.taxes?.[place] as Line | undefined,
      put: (file, change) =>
        ({ ...file, plan: withLeaseTax((file as LeaseFile).plan, place, change as never) }) as LeaseFile,
    },
    part,
    `Tax ${place + 1}`,
  );
}
