import type { ReactNode } from "react";
import { DEFAULT_IDLE_MINUTES } from "@/exchange/settings";
import { FocusKept } from "@/features/focus/FocusKept";
import { Notices } from "@/features/notices/Notices";
import { MeProvider } from "@/features/people/me-context";
import { FieldsSelect } from "@/features/shell/FieldsSelect";
import { Shell } from "@/features/shell/Shell";
import { WhenAlive } from "@/features/shell/WhenAlive";
import { dataFolder } from "@/server/data-folder";
import { serverWarning } from "@/server/warnings";
import { houseSettings } from "./house";
import { me } from "./visit";

/** The frame of the officer's pages: the places at the side, notices, and what holds for every field. */
export async function DeskFrame({ children }: { children: ReactNode }) {
  const { settings } = await houseSettings();
  const who = await me();
  return (
    <MeProvider me={who}>
      <Shell
        warning={await serverWarning(dataFolder())}
        person={who.person?.id}
        locksAfter={settings.people?.locksAfter ?? DEFAULT_IDLE_MINUTES}
      >
        <WhenAlive>{children}</WhenAlive>
      </Shell>
      <Notices />
      <FieldsSelect />
      <FocusKept />
    </MeProvider>
  );
}
