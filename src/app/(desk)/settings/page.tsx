import type { Metadata } from "next";
import { SettingsScreen } from "@/features/settings/SettingsScreen";
import { keptCopies } from "@/server/backups";
import { dataFolder } from "@/server/data-folder";
import { houseSettings } from "../../house";

export const metadata: Metadata = { title: "Settings" };

export default async function SettingsPage() {
  return <SettingsScreen opened={await houseSettings()} kept={keptCopies(dataFolder())} />;
}
