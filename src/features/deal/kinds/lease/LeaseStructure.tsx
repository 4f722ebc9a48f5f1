import { memo, useState } from "react";
import { MOST_TAXES } from "@/core";
import { focusSoon } from "@/features/focus/focus-soon";
import { useOptionOf } from "../../option/option-context";
import { fieldId } from "../../parts/field-id";
import { AddButton, AddLine } from "../../structure/AddLine";
import { AmountRows } from "../../structure/AmountRows";
import { CashDownRow } from "../../structure/CashDownRow";
import { ChargeLines } from "../../structure/ChargeLines";
import { NamedRow } from "../../structure/NamedRow";
import { RebateLines } from "../../structure/OtherLines";
import { TallyCard } from "../../structure/TallyCard";
import { TallyRow } from "../../structure/TallyRow";
import { TradeInLines } from "../../structure/TradeInLines";
import { useOpening, useStructure } from "../../structure/use-structure";
import { AcquisitionFeeRow } from "./AcquisitionFeeRow";
import { withNewLeaseTax } from "./fields/lease-taxes";
import { LeaseFoot } from "./LeaseFoot";
import { LeaseTaxLines } from "./LeaseTaxLines";

/** The tally from the agreed price to the adjusted capitalized cost, over what is due at signing. */
export const LeaseStructure = memo(function LeaseStructure() {
  const { option, act } = useOptionOf("lease");
  const { tally, runningOf } = useStructure();
  const [openTax, setOpenTax] = useState<number | null>(null);
  const opening = useOpening();
  const { taxes = [], acquisitionFee } = option.inputs.plan;
  const addTax = () => {
    const tax = { name: "Sales tax", rate: "0", on: ["payment" as const] };
    act({ type: "lease", change: plan => withNewLeaseTax(plan, tax) });
    setOpenTax(taxes.length);
  };
  return (
    <TallyCard
      foot={<LeaseFoot />}
      after={
        <AddLine opening={opening}>
          {acquisitionFee === undefined && (
            <AddButton
              name="acquisition fee"
              onClick={() => {
                act({ type: "lease", change: plan => ({ ...plan, acquisitionFee: { amount: "0" } }) });
                focusSoon(`#${fieldId("lease/acquisitionFee")}`);
              }}
            />
          )}
          {taxes.length < MOST_TAXES && <AddButton name="tax" onClick={addTax} />}
        </AddLine>
      }
    >
      <TallyRow stale={tally.stale} label="List price" field="lease/listPrice" />
      <NamedRow
        line="price"
        stale={tally.stale}
        usual="Agreed price"
        field="price"
        running={runningOf("price")[0] ?? ""}
      />
      <ChargeLines list="fees" opening={opening} />
      <ChargeLines list="extras" opening={opening} />
      {acquisitionFee && <AcquisitionFeeRow fee={acquisitionFee} />}
      <LeaseTaxLines open={openTax} setOpen={setOpenTax} />
      <TradeInLines opening={opening} />
      <RebateLines opening={opening} />
      <AmountRows />
      <CashDownRow />
    </TallyCard>
  );
});
