"use client";

import { createContext, type ReactNode, useContext } from "react";
import type { Right } from "@/exchange/people";
import type { MeReply } from "@/server/contract";

const MeContext = createContext<MeReply | null>(null);

/** Who is signed in, for all that is drawn by it. */
export function MeProvider({ me, children }: { me: MeReply; children: ReactNode }) {
  return <MeContext value={me}>{children}</MeContext>;
}

/** Who is signed in; null where nobody has a name yet. */
export const useMe = () => useContext(MeContext)?.person ?? null;

/** Whether whoever is there may do something. The server looks at it again. */
export function useMay(right: Right): boolean {
  const me = useContext(MeContext);
  return !me || me.rights.includes(right);
}
