import { Worker } from "node:worker_threads";
import type { KeptFigures } from "@/data/register-figures";

/** No deal keeps the others waiting for longer. */
const LONGEST_MS = 5000;

/** Makes the figures of one deal after another, from its inputs as JSON. */
export type FiguresMaker = (inputs: string) => Promise<KeptFigures>;

/** Makes figures in a thread of its own, which is begun anew after a deal that took too long or broke it. */
export function figuresInThread(): FiguresMaker {
  let thread: Worker | undefined;
  return async inputs => {
    thread ??= startThread();
    const figures = await answerOf(thread, inputs);
    if (figures) return figures;
    void thread.terminate();
    thread = undefined;
    return TOO_MUCH_WORK;
  };
}

function startThread(): Worker {
  const thread = new Worker(new URL("./thread.ts", import.meta.url));
  // It must not keep a server from stopping.
  thread.unref();
  return thread;
}

/** The figures of a deal; undefined where the thread took too long over it, or ended. */
function answerOf(thread: Worker, inputs: string): Promise<KeptFigures | undefined> {
  return new Promise(resolve => {
    const limit = setTimeout(() => done(undefined), LONGEST_MS);
    const done = (figures: KeptFigures | undefined) => {
      clearTimeout(limit);
      thread.removeAllListeners();
      resolve(figures);
    };
    thread.once("message", done);
    thread.once("error", error => {
      console.error(error);
      done(undefined);
    });
    thread.once("exit", () => done(undefined));
    thread.postMessage(inputs);
  });
}

const TOO_MUCH_WORK: KeptFigures = {
  currency: "",
  payment: null,
  amountFinanced: null,
  paid: "",
  problem: "This deal takes too much work to be shown in the list; open it to see its figures.",
};
