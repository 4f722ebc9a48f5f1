import type { ArrivalStep } from "@/data/arrivals";
import type { Store } from "@/data/store";
import type { ArrivingReply } from "./contract";
import { Refusal } from "./refusal";

/** Says how far a file of deals is that is being brought in, and hears that it is to be left. */
export type Progress = (step: ArrivalStep["step"], done: number, of: number | null) => Promise<void> | void;

/** So often it is told at most: who looks, looks twice a second. */
const APART_MS = 300;

/**
 * Tells how far a file of deals is, to who knows its id, whichever process they ask.
 *
 * @throws Refusal where it was cancelled meanwhile, or taken to be cut off
 */
export function tellingArrival(store: Store, arrival: string): Progress {
  let told = { step: "", at: 0 };
  return async (step, done, of) => {
    const now = performance.now();
    if (step === "showing" || (step === told.step && done !== of && now - told.at < APART_MS)) return;
    told = { step, at: now };
    const isWanted = await store.tellArrival(arrival, { step, done, of });
    if (isWanted === "cancelled")
      throw new Refusal(409, "Bringing this file in was cancelled; none of its deals was kept.");
    if (!isWanted) throw new Refusal(409, CUT_OFF);
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
