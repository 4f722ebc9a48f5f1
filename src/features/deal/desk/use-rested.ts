import { useEffect, useState } from "react";

const RESTS_AFTER_MS = 200;

/**
 * Something as it was when typing last rested for a moment; as it is where nobody types. For what is called after
 * figures, and would call itself otherwise with every key of one.
 */
export function useRested<Value>(value: Value, isTyping: boolean): Value {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    if (!isTyping) return;
    const timer = setTimeout(() => setRested(() => value), RESTS_AFTER_MS);
    return () => clearTimeout(timer);
  }, [value, isTyping]);
  if (isTyping || rested === value) return rested;
  setRested(() => value);
  return value;
}
