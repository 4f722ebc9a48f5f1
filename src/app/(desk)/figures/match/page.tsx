import type { Metadata } from "next";
import { MatchScreen } from "@/features/questions/match/MatchScreen";
import { houseSettings } from "../../../house";
import { visitor } from "../../../visit";

export const metadata: Metadata = { title: "Match a lender’s figures" };

export default async function MatchPage() {
  await visitor();
  const { settings } = await houseSettings();
  return <MatchScreen house={settings} />;
}
