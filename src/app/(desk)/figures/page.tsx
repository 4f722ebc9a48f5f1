import type { Metadata } from "next";
import { FiguresScreen } from "@/features/questions/FiguresScreen";
import { houseSettings } from "../../house";

export const metadata: Metadata = { title: "Figures" };

export default async function FiguresPage() {
  const { settings } = await houseSettings();
  return <FiguresScreen house={settings} />;
}
