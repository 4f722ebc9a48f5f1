import { Worker } from "node:worker_threads";
import type { KeptFigures } from "@/data/register-figures";

/** No deal keeps the others waiting for longer. */
const LONGEST_MS = 5000;

/** Makes the figures of one deal after another, from its inputs as JSON. */
export type FiguresMaker = (inputs: string) => Promise<KeptFigures>;

/** A thread with the deal that it works on. */
type Thread = { worker: Worker; answered: (figures: KeptFigures | undefined) => void };

/** Makes figures in a thread of its own, which is begun anew after a deal that took too long or broke it. */
export function figuresInThread(): FiguresMaker {
  let thread: Thread | undefined;
  return async inputs => {
    const current = thread ?? startThread();
    thread = current;
    const figures = await answerOf(current, inputs);
    if (figures) return figures;
    void current.worker.terminate();
    thread = undefined;
    return TOO_MUCH_WORK;
  };
}

function startThread(): Thread {
  const worker = new Worker(new URL("./thread.ts", import.meta.url));
  const thread: Thread = { worker, answered: () => {} };
  worker.on("message", (figures: KeptFigures) => thread.answered(figures));
  worker.on("error", error => {
    console.error(error);
    thread.answered(undefined);
  });
  worker.on("exit", () => thread.answered(undefined));
  // It must not keep a server from stopping.
  worker.unref();
  return thread;
}

/** The figures of a deal; undefined where the thread took too long over it, or ended. */
function answerOf(thread: Thread, inputs: string): Promise<KeptFigures | undefined> {
  return new Promise(resolve => {
    const limit = setTimeout(() => thread.answered(undefined), LONGEST_MS);
    thread.answered = figures => {
      clearTimeout(limit);
      resolve(figures);
    };
    thread.worker.postMessage(inputs);
  });
}

const TOO_MUCH_WORK: KeptFigures = {
  currency: "",
  payment: null,
  amountFinanced: null,
  paid: "",
  problem: "This deal takes too much work to be shown in the list; open it to see its figures.",
};
