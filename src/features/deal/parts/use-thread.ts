import { useCallback, useEffect, useRef, useState } from "react";

/** Asks a thread; null where something newer was asked for meanwhile, undefined where there is no thread. */
type Ask<Question, Answer> = (question: Question) => Promise<Answer | null> | undefined;

/** Answers questions in a thread of its own. */
type Client<Question, Answer> = { ask: Ask<Question, Answer>; close: () => void };

/** An answer with its question. */
export type Answered<Question, Answer> = { question: Question; answer: Answer };

/**
 * The newest answer of a thread with its question, while a newer one may still be on its way.
 *
 * @param start starts the thread; the same function each time
 * @param question the same object until something of it is another one; null where nothing is asked
 * @param pauseMs how long it waits for a pause in typing; the first question never waits
 */
export function useThread<Question, Answer>(
  start: () => Client<Question, Answer>,
  question: Question | null,
  pauseMs: number,
): Answered<Question, Answer> | null {
  const client = useRef<Client<Question, Answer>>(undefined);
  useEffect(() => {
    client.current = start();
    return () => {
      client.current?.close();
      client.current = undefined;
    };
  }, [start]);
  const ask = useCallback((asked: Question) => client.current?.ask(asked), []);
  return useAnswer(ask, question, pauseMs);
}

/**
 * The same of a thread that others ask, too.
 *
 * @param ask the same function each time
 */
export function useAnswer<Question, Answer>(
  ask: Ask<Question, Answer>,
  question: Question | null,
  pauseMs: number,
): Answered<Question, Answer> | null {
  const [made, setMade] = useState<Answered<Question, Answer> | null>(null);
  const isFirst = useRef(true);
  useEffect(() => {
    if (!question) return;
    let isWanted = true;
    const timer = setTimeout(
      () =>
        void ask(question)?.then(answer => {
          if (!answer || !isWanted) return;
          isFirst.current = false;
          setMade({ question, answer });
        }),
      isFirst.current ? 0 : pauseMs,
    );
    return () => {
      isWanted = false;
      clearTimeout(timer);
    };
  }, [ask, question, pauseMs]);
  return made;
}
