import { MOST_EXTRAS, MOST_FEES, MOST_PAYOFFS, MOST_REBATES, MOST_TAXES, MOST_TRADE_INS } from "@/core";
import { type LineOf, type ListName, linesOf } from "../fields";
import { type Opening, useStructure } from "./use-structure";

type Addable = {
  [List in ListName]: { list: List; name: string; most: number; line: LineOf<List> };
}[ListName];

const TAX: Addable = {
  list: "taxes",
  name: "tax",
  most: MOST_TAXES,
  line: { name: "Sales tax", rate: "0", on: ["price", "fees", "extras"] },
};
const FEE: Addable = { list: "fees", name: "fee", most: MOST_FEES, line: { name: "Fee", amount: "0" } };
const OF_A_VEHICLE: readonly Addable[] = [
  TAX,
  FEE,
  { list: "extras", name: "extra", most: MOST_EXTRAS, line: { name: "Extra", amount: "0" } },
  { list: "rebates", name: "rebate", most: MOST_REBATES, line: { name: "Rebate", amount: "0" } },
  {
    list: "tradeIns",
    name: "trade-in",
    most: MOST_TRADE_INS,
    line: { allowance: "0", owed: "0" },
  },
];
const OF_A_PERSONAL_LOAN: readonly Addable[] = [
  FEE,
  { list: "payoffs", name: "debt paid off", most: MOST_PAYOFFS, line: { name: "Debt", amount: "0" } },
];

/** The lines that a structure can have besides: one press adds one, open to be named and filled in. */
export function AddLine({ opening }: { opening: Opening }) {
  const { structure, add, change } = useStructure();
  const addable = structure.purpose === undefined ? OF_A_VEHICLE : OF_A_PERSONAL_LOAN;
  return (
    <div className="mt-2 flex flex-wrap gap-x-3 gap-y-1 text-sm">
      <span className="text-faint">Add a</span>
      {addable.map(({ list, name, most, line }) => {
        const { length } = linesOf(structure, list);
        // The first trade-in has its place without being added.
        const index = list === "tradeIns" ? Math.max(length, 1) : length;
        return (
          index < most && (
            <AddButton
              key={list}
              name={name}
              onClick={() => {
                if (list === "tradeIns" && length === 0) add(list, { allowance: "0", owed: "0" });
                add(list, line);
                opening.setOpen({ list, index });
              }}
            />
          )
        );
      })}
      {structure.deposit === undefined && (
        <AddButton name="deposit" onClick={() => change(now => ({ ...now, deposit: "0" }))} />
      )}
    </div>
  );
}

function AddButton({ name, onClick }: { name: string; onClick: () => void }) {
  return (
    <button type="button" className="cursor-pointer font-semibold text-primary" onClick={onClick}>
      + {name}
    </button>
  );
}
