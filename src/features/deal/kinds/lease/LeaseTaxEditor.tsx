import { useEffect } from "react";
import { LEASE_TAX_ON_WORDS, type LeaseTaxFile } from "@/exchange/kinds/lease";
import { useOptionOf } from "../../option/option-context";
import { FigureField } from "../../parts/FigureField";
import { fieldId } from "../../parts/field-id";
import { EditorFrame } from "../../structure/EditorFrame";
import { TaxTerms } from "../../structure/TaxTerms";
import { withLeaseTax, withoutLeaseTax } from "./fields/lease-taxes";

const ON = Object.entries(LEASE_TAX_ON_WORDS) as [LeaseTaxFile["on"][number], string][];

/** A tax of a lease open to be changed, in place. */
export function LeaseTaxEditor({ index, onDone }: { index: number; onDone: () => void }) {
  const { option, act } = useOptionOf("lease");
  const tax = option.inputs.plan.taxes?.[index];
  const name = `leaseTaxes/${index}/name` as const;
  useEffect(() => {
    document.getElementById(fieldId(name))?.focus();
  }, [name]);
  if (!tax) return null;
  return (
    <EditorFrame
      label={tax.name}
      onDone={onDone}
      onTakeOut={() =>
        act({ type: "lease", change: plan => withoutLeaseTax(plan, index), forget: "leaseTaxes" })
      }
    >
      <div className="grid grid-cols-2 gap-x-3 gap-y-2">
        <FigureField field={name} shortLabel="Name" />
        <TaxTerms
          place={`leaseTaxes/${index}`}
          tax={tax}
          choices={ON}
          hasLimits
          change={members => act({ type: "lease", change: plan => withLeaseTax(plan, index, members) })}
        />
      </div>
    </EditorFrame>
  );
}
