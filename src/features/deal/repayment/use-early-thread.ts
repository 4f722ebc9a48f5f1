import { useEffect, useMemo, useRef } from "react";
import { startEarly } from "@/workers/early-client";
import type { EarlyWorker } from "@/workers/early-worker";

/** What extra money does to the loan, worked out in one thread for the whole view. */
export type EarlyThread = {
  [Name in keyof EarlyWorker]: (
    question: Parameters<EarlyWorker[Name]>[0],
  ) => ReturnType<EarlyWorker[Name]> | undefined;
};

export function useEarlyThread(): EarlyThread {
  const thread = useRef<ReturnType<typeof startEarly>>(undefined);
  useEffect(() => {
    thread.current = startEarly();
    return () => {
      thread.current?.close();
      thread.current = undefined;
    };
  }, []);
  return useMemo(
    () => ({
      repaid: question => thread.current?.remote.repaid(question),
      paidOff: question => thread.current?.remote.paidOff(question),
      keepOrPay: question => thread.current?.remote.keepOrPay(question),
      grid: question => thread.current?.remote.grid(question),
    }),
    [],
  );
}
