import { useCallback, useEffect, useRef, useState } from "react";
import { api } from "@/features/api/api";
import { notify } from "@/features/notices/notify";
import { useLookAgain } from "@/features/saving/look-again";
import type { RegisterAsked, RegisterPage } from "@/server/contract";
import { registerQuery } from "./register-query";

/** How soon figures that are being made are asked for again. */
const SOON_MS = 500;

/** The page of the register that is shown, and the way to another one. */
export function useRegisterPage(initial: RegisterPage, opened: RegisterAsked) {
  const [page, setPage] = useState(initial);
  const [asked, setAsked] = useState(opened);
  const wanted = useRef(opened);
  const isAsking = useRef(false);

  /** Asks for what is wanted; what is typed meanwhile is asked for next, and only the last of it. */
  const load = useCallback(async (isQuiet = false) => {
    if (isAsking.current) return;
    isAsking.current = true;
    for (let isDone = false; !isDone; ) {
      const mine = wanted.current;
      const answer = await api.register(registerQuery(mine));
      isDone = mine === wanted.current;
      if (answer.kind === "done") setPage(answer.value);
      else if (isDone && !isQuiet) {
        const sentence =
          answer.kind === "away" ? "The server is away; the list is as it was." : answer.sentence;
        notify.error(sentence, { id: "register" });
      }
    }
    isAsking.current = false;
  }, []);

  const show = useCallback(
    (change: Partial<RegisterAsked>) => {
      wanted.current = { ...wanted.current, page: 1, ...change };
      setAsked(wanted.current);
      // So that going back or opening anew shows the same.
      history.replaceState(history.state, "", `/${registerQuery(wanted.current)}`);
      void load();
    },
    [load],
  );

  /** Asks anew, also where an answer is on its way that was made before. */
  const reload = useCallback(() => {
    wanted.current = { ...wanted.current };
    return load();
  }, [load]);

  const isBeingMade = page.rows.some(row => !row.isMade);
  useEffect(() => {
    if (!isBeingMade) return;
    const timer = setInterval(() => void load(), SOON_MS);
    return () => clearInterval(timer);
  }, [isBeingMade, load]);

  useLookAgain("of=deals", () => load(true));

  return { page, asked, show, reload };
}
