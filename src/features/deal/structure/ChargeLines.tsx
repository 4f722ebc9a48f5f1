import { lazy, Suspense, useState } from "react";
import { paidBy } from "@/exchange/structure";
import { linesOf } from "../fields";
import { chargeWords } from "./charge-words";
import { GroupHead } from "./GroupHead";
import { LineButton } from "./LineButton";
import { OpenEditor } from "./OpenEditor";
import { TallyRow } from "./TallyRow";
import { isOpenLine, type Opening, useStructure } from "./use-structure";

// What extras do is asked now and then.
const ExtrasOneByOne = lazy(() =>
  import("./ExtrasOneByOne").then(({ ExtrasOneByOne: view }) => ({ default: view })),
);

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
  return (
    <>
      <GroupHead
        title={title}
        names={charges.map(({ name }) => name)}
        isFolded={isFolded}
        setFolded={setFolded}
        sign="+"
        sum={money(financed.reduce((sum, amount) => sum + amount, 0))}
        running={runningOf(figure).at(-1) ?? ""}
        stale={tally.stale}
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
      {list === "extras" && !isFolded && (
        <Suspense fallback={null}>
          <ExtrasOneByOne />
        </Suspense>
      )}
    </>
  );
}
