import type { ReactNode } from "react";
import { useIsFrozen } from "../option/option-context";

/** What changes the deal; of a signed one it can be read, and not used. */
export function Changeable({ children }: { children: ReactNode }) {
  return (
    <fieldset className="contents" disabled={useIsFrozen()}>
      {children}
    </fieldset>
  );
}
