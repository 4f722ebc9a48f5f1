import type { Metadata } from "next";
import { RatesScreen } from "@/features/rates/RatesScreen";
import { houseSettings } from "../../house";
import { NotShown } from "../../not-shown";
import { storeFor } from "../../visit";

export const metadata: Metadata = { title: "Rates" };

/** What lenders offer is asked for by the page: all of it while the dealer's side is open. */
export default async function RatesPage() {
  if (!(await storeFor("seeDeals"))) return <NotShown what="rates" />;
  const { settings } = await houseSettings();
  return <RatesScreen locale={settings.locale} />;
}
