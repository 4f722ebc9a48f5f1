import { ChevronDown, ChevronRight } from "lucide-react";
import { useState } from "react";
import { paidBy } from "@/exchange/deal-file/structure";
import { linesOf } from "../fields";
import { chargeWords } from "./charge-words";
import { LineButton } from "./LineButton";
import { OpenEditor } from "./OpenEditor";
import { TallyRow } from "./TallyRow";
import { isOpenLine, type Opening, useStructure } from "./use-structure";

const GROUPS = {
  fees: { title: "Fees", figure: "fee" },
  extras: { title: "Extras", figure: "extra" },
} as const;

/** Fees or extras: a group that folds to one line with its sum. */
export function ChargeLines({ list, opening }: { list: "fees" | "extras"; opening: Opening }) {
  const { structure, tally, money, runningOf } = useStructure();
  const [isFolded, setFolded] = useState(false);
  const charges = linesOf(structure, list);
  if (charges.length === 0) return null;
  const { title, figure } = GROUPS[list];
  const amounts = tally.reckoned?.[list] ?? [];
  const financed = charges.map((charge, index) =>
    paidBy(charge) === "financed" ? (amounts[index] ?? 0) : 0,
  );
  const Chevron = isFolded ? ChevronRight : ChevronDown;
  return (
    <>
      <TallyRow
        stale={tally.stale}
        sign="+"
        label={
          <button
            type="button"
            aria-expanded={!isFolded}
            className="flex cursor-pointer items-center gap-1"
            onClick={() => setFolded(!isFolded)}
          >
            {title} <Chevron size={14} aria-hidden="true" />
          </button>
        }
        remark={isFolded ? charges.map(({ name }) => name).join(", ") : undefined}
        value={money(financed.reduce((sum, amount) => sum + amount, 0))}
        running={runningOf(figure).at(-1) ?? ""}
      />
      {!isFolded &&
        charges.map((charge, index) => (
          <TallyRow
            // biome-ignore lint/suspicious/noArrayIndexKey: a line has no other identity than its place.
            key={index}
            isInGroup
            stale={tally.stale}
            label={charge.name}
            field={`${list}/${index}/amount`}
            running={paidBy(charge) === "financed" ? "" : "not in it"}
            remark={
              <LineButton list={list} index={index} name={charge.name} opening={opening}>
                {chargeWords(charge, money(amounts[index]))}
              </LineButton>
            }
          >
            {isOpenLine(opening, list, index) && <OpenEditor list={list} index={index} opening={opening} />}
          </TallyRow>
        ))}
    </>
  );
}
