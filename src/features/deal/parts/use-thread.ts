import { useEffect, useRef, useState } from "react";

/** Answers questions in a thread of its own. */
type Client<Question, Answer> = {
  /** Null where something newer was asked for meanwhile. */
  ask: (question: Question) => Promise<Answer | null>;
  close: () => void;
};

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
): { question: Question; answer: Answer } | null {
  const [made, setMade] = useState<{ question: Question; answer: Answer } | null>(null);
  const isFirst = useRef(true);
  const client = useRef<Client<Question, Answer>>(undefined);
  useEffect(() => {
    client.current = start();
    return () => {
      client.current?.close();
      client.current = undefined;
    };
  }, [start]);
  useEffect(() => {
    if (!question) return;
    let isWanted = true;
    const ask = () =>
      client.current?.ask(question).then(answer => {
        if (!answer || !isWanted) return;
        isFirst.current = false;
        setMade({ question, answer });
      });
    const timer = setTimeout(() => void ask(), isFirst.current ? 0 : pauseMs);
    return () => {
      isWanted = false;
      clearTimeout(timer);
    };
  }, [question, pauseMs]);
  return made;
}
