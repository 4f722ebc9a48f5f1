import type { ArrivingReply } from "./contract";
import { Refusal } from "./refusal";

type Arriving = ArrivingReply & { isCancelled: boolean };

// Kept on the process, because bundles of the server each have their own copy of this module.
const shared = globalThis as typeof globalThis & { kelluxArriving?: Map<string, Arriving> };

const arriving = () => {
  shared.kelluxArriving ??= new Map();
  return shared.kelluxArriving;
};

/** Says how far a file of deals is that is being brought in, and hears that it is to be left. */
export type Progress = {
  /** @throws Refusal where it was cancelled meanwhile */
  at: (step: ArrivingReply["step"], done: number, of: number | null) => void;
  end: () => void;
};

/** Begins to tell how far a file of deals is, to who knows the id that its sender gave it. */
export function tellArriving(id: string): Progress {
  if (arriving().has(id)) throw new Refusal(409, "A file is being brought in under this id already.");
  const file: Arriving = { step: "reading", done: 0, of: null, isCancelled: false };
  arriving().set(id, file);
  return {
    at: (step, done, of) => {
      if (file.isCancelled && step !== "showing")
        throw new Refusal(409, "Bringing this file in was cancelled; none of its deals was kept.");
      Object.assign(file, { step, done, of });
    },
    end: () => void arriving().delete(id),
  };
}

/** How far a file of deals is that is being brought in. */
export function arrivingDeals(id: string): ArrivingReply {
  const { step, done, of } = found(id);
  return { step, done, of };
}

/** Leaves a file of deals that is being brought in; once all of it is kept it stays. */
export function cancelArriving(id: string): { id: string } {
  const file = found(id);
  if (file.step === "showing") throw new Refusal(409, "All deals of this file are kept already.");
  file.isCancelled = true;
  return { id };
}

function found(id: string): Arriving {
  const file = arriving().get(id);
  if (!file) throw new Refusal(404, "No file is being brought in under this id.");
  return file;
}
