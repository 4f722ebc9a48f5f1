import type { Metadata } from "next";
import { EarnedScreen } from "@/features/earned/EarnedScreen";
import { houseSettings } from "../../house";

export const metadata: Metadata = { title: "Earned" };

/** Nothing of the dealer's side is in the page: it is asked for while that is open. */
export default async function EarnedPage() {
  const { settings } = await houseSettings();
  return <EarnedScreen locale={settings.locale} />;
}
