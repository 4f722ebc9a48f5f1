import "@fontsource-variable/source-sans-3";
import "@fontsource-variable/source-serif-4";
import "./globals.css";
import type { Metadata } from "next";
import { connection } from "next/server";
import type { ReactNode } from "react";
import { THEME_OF } from "@/features/shell/themes";
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
      <body>{children}</body>
    </html>
  );
}
