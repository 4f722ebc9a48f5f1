import { useEffect, useState } from "react";
import { lookAtPapers, type OptionsAsked } from "@/features/api/papers";
import type { PapersReply } from "@/server/contract";

/** Of which papers there are none; what was seen last stays till the next is seen. */
export function usePapersSeen(dealId: string, asked: OptionsAsked | null): PapersReply | null {
  const [seen, setSeen] = useState<PapersReply | null>(null);
  const key = asked && JSON.stringify(asked);
  useEffect(() => {
    if (key === null) return;
    let isWanted = true;
    void lookAtPapers(dealId, JSON.parse(key) as OptionsAsked).then(answer => {
      if (isWanted && answer.kind === "done") setSeen(answer.value);
    });
    return () => {
      isWanted = false;
    };
  }, [dealId, key]);
  return seen;
}
