import type { Metadata } from "next";
import { SettingsScreen } from "@/features/settings/SettingsScreen";
import { keptCopies } from "@/server/backups";
import { dataFolder } from "@/server/data-folder";
import { houseSettings } from "../../house";
import { visitor } from "../../visit";

export const metadata: Metadata = { title: "Settings" };

export default async function SettingsPage() {
  const { rights } = await visitor();
  return (
    <SettingsScreen
      opened={await houseSettings()}
      kept={rights.has("keepBackups") ? keptCopies(dataFolder()) : null}
    />
  );
}
