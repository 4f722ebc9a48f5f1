import type { ReactNode } from "react";
import { DeskFrame } from "../desk-frame";

/** Everything but the customer's window stands in one frame. */
export default function DeskLayout({ children }: { children: ReactNode }) {
  return <DeskFrame>{children}</DeskFrame>;
}
