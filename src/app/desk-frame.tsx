import type { ReactNode } from "react";
import { FocusKept } from "@/features/focus/FocusKept";
import { Notices } from "@/features/notices/Notices";
import { FieldsSelect } from "@/features/shell/FieldsSelect";
import { Shell } from "@/features/shell/Shell";
import { WhenAlive } from "@/features/shell/WhenAlive";
import { dataFolder } from "@/server/data-folder";
import { serverWarning } from "@/server/warnings";

/** The frame of the officer's pages: the places at the side, notices, and what holds for every field. */
export async function DeskFrame({ children }: { children: ReactNode }) {
  return (
    <>
      <Shell warning={await serverWarning(dataFolder())}>
        <WhenAlive>{children}</WhenAlive>
      </Shell>
      <Notices />
      <FieldsSelect />
      <FocusKept />
    </>
  );
}
