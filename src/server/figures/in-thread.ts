import { Worker } from "node:worker_threads";
import type { FiguresFrom, KeptFigures } from "@/data/register-figures";
import { workInThread } from "../threads/work-in-thread";

/** No deal keeps the others waiting for longer: by the clock, on a slow machine where this work comes last. */
const LONGEST_MS = 20_000;

/** Makes the figures of one deal after another. */
export type FiguresMaker = (from: FiguresFrom) => Promise<KeptFigures>;

/** Makes figures in a thread of its own. */
export function figuresInThread(): FiguresMaker {
  const make = workInThread<FiguresFrom, KeptFigures>(
    () => new Worker(new URL("./thread.ts", import.meta.url)),
    LONGEST_MS,
  );
  return async from => (await make(from)) ?? TOO_MUCH_WORK;
}

const TOO_MUCH_WORK: KeptFigures = {
  currency: "",
  payment: null,
  amountFinanced: null,
  paid: "",
  planKind: null,
  chosenName: "",
  problem: "This deal takes too much work to be shown in the list; open it to see its figures.",
};
