import { useEffect, useState } from "react";
import type { Dealer } from "@/exchange/dealer";
import { dealerApi } from "@/features/api/dealer";
import { whenText } from "@/features/figures/when";
import type { HistoryReply } from "@/server/contract";
import { useNotation } from "../option/option-context";

/** What was changed of the dealer's side, the latest first. */
export function DealerHistory({ dealId, dealer }: { dealId: string; dealer: Dealer }) {
  const { notation } = useNotation();
  const [changes, setChanges] = useState<HistoryReply["changes"]>([]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: with each change there is more to tell.
  useEffect(() => {
    void dealerApi.history(dealId).then(answer => {
      if (answer.kind === "done") setChanges(answer.value.changes.filter(({ part }) => part === "dealer"));
    });
  }, [dealId, dealer]);
  return (
    <ol className="text-sm">
      {changes.map(({ number, at, words }) => (
        <li key={number}>
          <span className="text-faint">{whenText(at, notation)}</span> {words}
        </li>
      ))}
      {changes.length === 0 && <li className="text-faint">Nothing yet</li>}
    </ol>
  );
}
