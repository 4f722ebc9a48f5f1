import { useCallback, useEffect, useRef, useState } from "react";
import type { Rank } from "@/core/programs";
import type { DealFile } from "@/exchange/deal-file";
import { programsApi } from "@/features/api/rates";
import { reasonOf } from "@/features/api/reason-of";
import { useSide } from "@/features/dealer-side/side-state";
import type { ProgramsReply } from "@/server/contract";

const REST_MS = 150;
/** The option was understood, and has no answer. */
const NO_ANSWER = 422;

/** How programs are ranked, and the spread that was typed for them; the house's usual one where it is undefined. */
export type Asking = { rank: Rank; spread: string | undefined };

/** What programs come to on an option, asked for anew once typing rests; `isOld` while that is not what is typed now. */
export type Programs = {
  reply: ProgramsReply | null;
  isOld: boolean;
  trouble: string | null;
  /** Whether the option itself has no answer. */
  isUnanswered: boolean;
  more: () => void;
};

/** Programs on the option that is open: what of them is the dealer's is asked for only while the side is open. */
export function usePrograms(
  dealId: string,
  option: string,
  inputs: DealFile,
  { rank, spread }: Asking,
): Programs {
  const side = useSide();
  const [reply, setReply] = useState<{ of: boolean; value: ProgramsReply } | null>(null);
  const [isOld, setOld] = useState(true);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [isUnanswered, setUnanswered] = useState(false);
  const [round, setRound] = useState(0);
  const turn = useRef(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a round more asks again
  useEffect(() => {
    const mine = ++turn.current;
    setOld(true);
    const timer = setTimeout(async () => {
      const answer = await programsApi.of(dealId, { option, inputs, spread, rank, side });
      if (mine !== turn.current) return;
      setOld(answer.kind !== "done");
      setTrouble(answer.kind === "done" ? null : reasonOf(answer));
      setUnanswered(answer.kind === "refused" && answer.status === NO_ANSWER);
      if (answer.kind === "done") setReply({ of: side, value: answer.value });
    }, REST_MS);
    return () => clearTimeout(timer);
  }, [dealId, option, inputs, rank, spread, side, round]);
  const again = useCallback(() => setRound(now => now + 1), []);
  useEffect(() => {
    // What the dealer's side has saved, and what others have.
    window.addEventListener("focus", again);
    return () => window.removeEventListener("focus", again);
  }, [again]);
  const more = async () => {
    if (!reply) return;
    const mine = turn.current;
    const asked = { option, inputs, spread, rank, side, from: reply.value.rows.length };
    const answer = await programsApi.of(dealId, asked);
    if (answer.kind !== "done" || mine !== turn.current) return;
    const rows = [...reply.value.rows, ...answer.value.rows];
    setReply({ of: side, value: { ...answer.value, rows } });
  };
  // What was told while the side was open is gone as soon as it is closed.
  return { reply: reply?.of === side ? reply.value : null, isOld, trouble, isUnanswered, more };
}
