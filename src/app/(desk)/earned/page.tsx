import type { Metadata } from "next";
import { EarnedScreen } from "@/features/earned/EarnedScreen";
import { houseSettings } from "../../house";
import { NotShown } from "../../not-shown";
import { storeFor } from "../../visit";

export const metadata: Metadata = { title: "Earned" };

/** Nothing of the dealer's side is in the page: it is asked for while that is open. */
export default async function EarnedPage() {
  if (!(await storeFor("seeEarned"))) return <NotShown what="earnings" />;
  const { settings } = await houseSettings();
  return <EarnedScreen locale={settings.locale} />;
}
