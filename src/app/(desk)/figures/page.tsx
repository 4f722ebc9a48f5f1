import type { Metadata } from "next";
import { FiguresScreen } from "@/features/questions/FiguresScreen";
import { houseSettings } from "../../house";
import { visitor } from "../../visit";

export const metadata: Metadata = { title: "Figures" };

export default async function FiguresPage() {
  await visitor();
  const { settings } = await houseSettings();
  return <FiguresScreen house={settings} />;
}
