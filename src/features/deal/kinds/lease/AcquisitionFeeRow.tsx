import type { LeasePlanFile } from "@/exchange/kinds/lease";
import { withOptional } from "@/exchange/members";
import { useOptionOf } from "../../option/option-context";
import { ChoiceInWords } from "../../parts/ChoiceInWords";
import { LineLink } from "../../structure/LineLink";
import { TallyRow } from "../../structure/TallyRow";
import { useStructure } from "../../structure/use-structure";

type Fee = NonNullable<LeasePlanFile["acquisitionFee"]>;
type Way = "financed" | "taxed" | "atSigning" | "taxedAtSigning";

const WAYS: readonly (readonly [Way, string, Omit<Fee, "amount">])[] = [
  ["financed", "capitalized", {}],
  ["taxed", "capitalized, taxed", { taxable: true }],
  ["atSigning", "paid at signing", { financed: false }],
  ["taxedAtSigning", "paid at signing, taxed", { financed: false, taxable: true }],
];

const wayOf = ({ financed = true, taxable = false }: Fee): Way => {
  if (financed) return taxable ? "taxed" : "financed";
  return taxable ? "taxedAtSigning" : "atSigning";
};

/** What the lessor takes for making the lease, and how it is paid. */
export function AcquisitionFeeRow({ fee }: { fee: Fee }) {
  const { act } = useOptionOf("lease");
  const { tally, runningOf } = useStructure();
  const isCapitalized = fee.financed ?? true;
  return (
    <TallyRow
      stale={tally.stale}
      label="Acquisition fee"
      sign={isCapitalized ? "+" : ""}
      field="lease/acquisitionFee"
      running={isCapitalized ? (runningOf("acquisitionFee")[0] ?? "") : "not in it"}
      remark={
        <>
          <ChoiceInWords
            label="How the acquisition fee is paid"
            value={wayOf(fee)}
            choices={WAYS.map(([way, words]) => [way, words] as const)}
            onChange={chosen => {
              const members = WAYS.find(([way]) => way === chosen)?.[2] ?? {};
              act({
                type: "lease",
                change: plan => ({ ...plan, acquisitionFee: { amount: fee.amount, ...members } }),
              });
            }}
          />{" "}
          ·{" "}
          <LineLink
            onClick={() =>
              act({ type: "lease", change: plan => withOptional(plan, "acquisitionFee", undefined) })
            }
          >
            none
          </LineLink>
        </>
      }
    />
  );
}
