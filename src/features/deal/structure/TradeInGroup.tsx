import { useState } from "react";
import { linesOf } from "../fields";
import { shownQuote } from "../option";
import { useOption } from "../option/option-context";
import { GroupHead } from "./GroupHead";
import { TradeInRows } from "./TradeInRows";
import { type Opening, useStructure } from "./use-structure";

/** Two trade-ins or more: a group that folds to one line with what they are worth beyond what is owed on them. */
export function TradeInGroup({ opening }: { opening: Opening }) {
  const { structure, tally, money, runningOf } = useStructure();
  const [isFolded, setFolded] = useState(false);
  const { option } = useOption();
  const { deal } = option;
  const found = shownQuote(option)?.allowance;
  const tradeIns = deal.ok ? deal.value.structure.tradeIns : [];
  const worth = tradeIns.reduce((sum, { allowance, owed }) => sum + (allowance ?? found ?? 0) - owed, 0);
  return (
    <>
      <GroupHead
        title="Trade-ins, less owed"
        names={linesOf(structure, "tradeIns").map(({ name }, index) => name ?? `number ${index + 1}`)}
        isFolded={isFolded}
        setFolded={setFolded}
        sign={worth < 0 ? "+" : "−"}
        sum={money(Math.abs(worth))}
        running={runningOf("owed").at(-1) ?? runningOf("equity")[0] ?? ""}
        stale={tally.stale}
      />
      {!isFolded && <TradeInRows opening={opening} isInGroup />}
    </>
  );
}
