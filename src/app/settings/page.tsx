import type { Metadata } from "next";
import { SettingsScreen } from "@/features/settings/SettingsScreen";
import { openSettings } from "@/server/settings";
import { serverStore } from "@/server/store";

export const metadata: Metadata = { title: "Settings" };

export default async function SettingsPage() {
  return <SettingsScreen opened={await openSettings(await serverStore())} />;
}
