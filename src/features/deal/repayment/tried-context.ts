import { createContext, useContext } from "react";
import type { Tried } from "./use-early";

/**
 * What is tried, for what stands on the chart or in its place: the table and the chart themselves are drawn anew only when
 * it is worked out, not with each key.
 */
export const TriedContext = createContext<Tried | null>(null);

export function useTried(): Tried {
  const tried = useContext(TriedContext);
  if (tried === null) throw new Error("There is no TriedContext around it.");
  return tried;
}
