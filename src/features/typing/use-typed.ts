import { useRef, useState } from "react";
import { useAskBeforeLeaving } from "./ask-before-leaving";

/** What was read of a text, or why it cannot be read. */
export type Read<Value> = { value: Value } | { sentence: string };

type Typing<Value> = {
  /** The figure as it stands in its field. */
  shown: string;
  value: Value;
  read: (text: string) => Read<Value>;
  put: (value: Value) => void;
};

/**
 * A figure that is typed where it stands and counts with each key. What cannot be read leaves the figure as it was before
 * this edit, stays in the field and is marked.
 */
export function useTyped<Value>({ shown, value, read, put }: Typing<Value>) {
  const [typed, setTyped] = useState<string | null>(null);
  const before = useRef<{ value: Value } | null>(null);
  const reading = typed === null ? null : read(typed);
  const sentence = reading && "sentence" in reading ? reading.sentence : undefined;
  useAskBeforeLeaving(sentence !== undefined);
  const type = (text: string) => {
    before.current ??= { value };
    const next = read(text);
    setTyped(text);
    put("value" in next ? next.value : before.current.value);
  };
  const leave = () => {
    before.current = null;
    if (sentence === undefined) setTyped(null);
  };
  return {
    typed,
    /** Why what stands in the field cannot be read. */
    sentence,
    text: typed ?? shown,
    type,
    leave,
    /** Takes a text as if it had been typed and the field left. */
    take: (text: string) => {
      type(text);
      before.current = null;
      setTyped(null);
    },
  };
}
