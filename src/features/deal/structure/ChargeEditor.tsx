import { type PaidBy, paidBy } from "@/exchange/structure";
import { type ChargeBy, chargeBy, linesOf, paidMembers } from "../fields";
import { Check, Choice } from "../parts/choices";
import { CoverEditor } from "./CoverEditor";
import { useStructure } from "./use-structure";

const BY: [ChargeBy, string][] = [
  ["amount", "an amount"],
  ["price", "a percent of the price"],
  ["loanAmount", "a percent of the loan"],
  ["totalOfPayments", "a percent of all payments"],
];

const PAID: [PaidBy, string][] = [
  ["financed", "financed"],
  ["atSigning", "at signing"],
  ["keptBack", "kept back from the loan"],
  ["firstPayment", "with the first payment"],
  ["lastPayment", "with the last payment"],
  ["eachPayment", "with each payment"],
];

/** How a fee or an extra is reckoned, paid and counted. */
export function ChargeEditor({ list, index }: { list: "fees" | "extras"; index: number }) {
  const { structure, put } = useStructure();
  const charge = linesOf(structure, list)[index];
  if (!charge) return null;
  const paid = paidBy(charge);
  const isPersonal = structure.purpose !== undefined;
  const fallsWith = charge.with !== undefined;
  return (
    <>
      <Choice
        label="Given as"
        value={chargeBy(charge)}
        choices={isPersonal ? BY.map(([by, words]) => [by, words.replace("price", "amount asked for")]) : BY}
        onChange={by =>
          put(
            list,
            index,
            by === "amount"
              ? { amount: charge.amount ?? "0", percent: undefined, percentOf: undefined }
              : { amount: undefined, percent: charge.percent ?? "0", percentOf: by },
          )
        }
      />
      <Choice
        label="Paid"
        value={paid}
        choices={PAID.filter(([way]) => way !== "keptBack" || (isPersonal && list === "fees"))}
        onChange={way => put(list, index, paidMembers(way))}
      />
      <div className="col-span-2 flex flex-wrap gap-x-5 gap-y-1">
        {!isPersonal && (
          <Check
            label="Taxed"
            checked={charge.taxable ?? false}
            disabled={fallsWith}
            onChange={checked => put(list, index, { taxable: checked || undefined })}
          />
        )}
        <Check
          label="Counts in the finance charge"
          checked={charge.financeCharge ?? false}
          onChange={checked => put(list, index, { financeCharge: checked || undefined })}
        />
      </div>
      {list === "extras" && <CoverEditor index={index} />}
    </>
  );
}
