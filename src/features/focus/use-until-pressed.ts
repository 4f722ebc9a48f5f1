import { useEffect, useReducer, useRef } from "react";

const ENDS = ["pointerup", "pointercancel", "keyup"] as const;

const isPressing = (): boolean => document.querySelector(":active") !== null;

/**
 * What is shown, kept until a press is over: if it went as the press takes the focus, what is pressed would move from
 * under the pointer, and the press would be lost.
 */
export function useUntilPressed<Value>(value: Value | undefined): Value | undefined {
  const [, drawAgain] = useReducer((count: number) => count + 1, 0);
  const last = useRef(value);
  const isHeld = value === undefined && last.current !== undefined && isPressing();
  if (!isHeld) last.current = value;
  useEffect(() => {
    if (!isHeld) return;
    // The click comes right after the pointer is up.
    const up = () => setTimeout(drawAgain);
    for (const end of ENDS) window.addEventListener(end, up);
    return () => {
      for (const end of ENDS) window.removeEventListener(end, up);
    };
  }, [isHeld]);
  return last.current;
}
