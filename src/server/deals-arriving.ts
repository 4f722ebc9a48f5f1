import type { ArrivalStep } from "@/data/arrivals";
import type { Store } from "@/data/store";
import type { ArrivingReply } from "./contract";
import { Refusal } from "./refusal";

/** Says how far a file of deals is that is being brought in, and hears that it is to be left. */
export type Progress = (step: ArrivalStep["step"], done: number, of: number | null) => Promise<void> | void;

/** So often it is told at most: who looks, looks twice a second. */
const APART_MS = 300;

/** So often it is said that somebody is at it, however long a part takes. */
const SIGN_MS = 10_000;

/** Tells how far a file of deals is, to who knows its id, whichever process they ask. */
export type Telling = {
  /** Throws a Refusal where it was cancelled meanwhile, or taken to be cut off. */
  at: Progress;
  end: () => void;
};

export function tellingArrival(store: Store, arrival: string): Telling {
  let told: ArrivalStep & { when: number } = { step: "reading", done: 0, of: null, when: 0 };
  const tell = () => store.tellArrival(arrival, { step: told.step, done: told.done, of: told.of });
  const sign = setInterval(() => void tell().catch(() => {}), SIGN_MS);
  return {
    at: async (step, done, of) => {
      const now = performance.now();
      if (step === told.step && done !== of && now - told.when < APART_MS) return;
      told = { step, done, of, when: now };
      const isWanted = await tell();
      if (isWanted === "cancelled")
        throw new Refusal(409, "Bringing this file in was cancelled; none of its deals was kept.");
      if (!isWanted) throw new Refusal(409, CUT_OFF);
    },
    end: () => clearInterval(sign),
  };
}

export const CUT_OFF = "Bringing this file in was cut off; bring it in again.";

const NONE = "No file is being brought in under this id.";

/** How far a file of deals is that is being brought in. */
export async function arrivingDeals(store: Store, id: string): Promise<ArrivingReply> {
  const step = await store.arrivalStep(id);
  if (!step) throw new Refusal(404, NONE);
  return step;
}

/** Leaves a file of deals that is being brought in; once all of it is kept it stays. */
export async function cancelArriving(store: Store, id: string): Promise<{ id: string }> {
  const cancelled = await store.cancelArrival(id);
  if (!cancelled) throw new Refusal(404, NONE);
  if (cancelled === "kept") throw new Refusal(409, "All deals of this file are kept already.");
  return { id };
}
