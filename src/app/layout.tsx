import "@fontsource-variable/source-sans-3";
import "@fontsource-variable/source-serif-4";
import "./globals.css";
import type { Metadata } from "next";
import { connection } from "next/server";
import type { ReactNode } from "react";
import { FocusKept } from "@/features/focus/FocusKept";
import { Notices } from "@/features/notices/Notices";
import { FieldsSelect } from "@/features/shell/FieldsSelect";
import { Shell } from "@/features/shell/Shell";
import { THEME_OF } from "@/features/shell/themes";
import { WhenAlive } from "@/features/shell/WhenAlive";
import { dataFolder } from "@/server/data-folder";
import { serverWarning } from "@/server/warnings";
import { houseSettings } from "./house";

export const metadata: Metadata = {
  title: { default: "Deals · Kellux", template: "%s · Kellux" },
  description: "Structure vehicle and personal loans with the customer at hand.",
};

export default async function RootLayout({ children }: { children: ReactNode }) {
  // Each answer carries its own nonce, so no page can be made ahead of time.
  await connection();
  const { settings } = await houseSettings();
  return (
    <html lang="en" data-theme={THEME_OF[settings.appearance]}>
      <body>
        <Shell warning={await serverWarning(dataFolder())}>
          <WhenAlive>{children}</WhenAlive>
        </Shell>
        <Notices />
        <FieldsSelect />
        <FocusKept />
      </body>
    </html>
  );
}
