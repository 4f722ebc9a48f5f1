import { useEffect, useRef, useState } from "react";
import { startMatch } from "@/workers/match-client";
import type { MatchAnswer, MatchQuestion } from "@/workers/match-worker";

/** The newest answer with its question, while more of it, or a newer one, may be on its way. */
type MatchFound = { question: MatchQuestion; answer: MatchAnswer };

/**
 * Asks a thread of its own where another's figures come from; what was asked before is given up.
 *
 * @param question the same object until something of it is another one; null where nothing is asked
 */
export function useMatch(question: MatchQuestion | null): MatchFound | null {
  const client = useRef<ReturnType<typeof startMatch>>(undefined);
  const [found, setFound] = useState<MatchFound | null>(null);
  useEffect(() => {
    client.current = startMatch();
    return () => {
      client.current?.close();
      client.current = undefined;
    };
  }, []);
  useEffect(() => {
    if (!question) return setFound(null);
    let isWanted = true;
    const take = (answer: MatchAnswer | null) => {
      if (!isWanted || !answer) return;
      // What was found on the way can arrive after the whole.
      if (answer.isWhole) isWanted = false;
      setFound({ question, answer });
    };
    void client.current?.ask(question, take).then(take);
    return () => {
      isWanted = false;
    };
  }, [question]);
  return found;
}
