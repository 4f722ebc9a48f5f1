import type { Worker } from "node:worker_threads";

/** A thread with the question that it works on. */
type Thread<Answer> = { worker: Worker; answered: (answer: Answer | undefined) => void };

/**
 * Has questions answered in a thread of their own, one after another. The thread is begun anew after a question that took
 * too long or broke it.
 *
 * @param start begins the thread, which answers each message with one
 * @param longestMs no question keeps the others waiting for longer
 * @returns what answers a question; undefined where it took too long or broke the thread
 */
export function workInThread<Question, Answer>(
  start: () => Worker,
  longestMs: number,
): (question: Question) => Promise<Answer | undefined> {
  let thread: Thread<Answer> | undefined;
  let turn: Promise<unknown> = Promise.resolve();
  const answer = async (question: Question): Promise<Answer | undefined> => {
    thread ??= startThread<Answer>(start);
    const current = thread;
    const answered = await answerOf(current, question, longestMs);
    if (answered === undefined) {
      void current.worker.terminate();
      thread = undefined;
    }
    return answered;
  };
  return question => {
    const answered = turn.then(() => answer(question));
    turn = answered;
    return answered;
  };
}

function startThread<Answer>(start: () => Worker): Thread<Answer> {
  const worker = start();
  const thread: Thread<Answer> = { worker, answered: () => {} };
  worker.on("message", (answer: Answer) => thread.answered(answer));
  worker.on("error", error => {
    console.error(error);
    thread.answered(undefined);
  });
  worker.on("exit", () => thread.answered(undefined));
  // It must not keep a server from stopping.
  worker.unref();
  return thread;
}

function answerOf<Question, Answer>(
  thread: Thread<Answer>,
  question: Question,
  longestMs: number,
): Promise<Answer | undefined> {
  return new Promise(resolve => {
    const limit = setTimeout(() => thread.answered(undefined), longestMs);
    thread.answered = answer => {
      clearTimeout(limit);
      resolve(answer);
    };
    thread.worker.postMessage(question);
  });
}
