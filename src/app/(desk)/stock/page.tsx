import type { Metadata } from "next";
import { StockScreen } from "@/features/stock/StockScreen";
import { openStock } from "@/server/stock";
import { houseSettings } from "../../house";
import { NotShown } from "../../not-shown";
import { storeFor } from "../../visit";

export const metadata: Metadata = { title: "Stock" };

export default async function StockPage() {
  const store = await storeFor("seeDeals");
  if (!store) return <NotShown what="vehicles" />;
  const [{ settings }, opened] = await Promise.all([houseSettings(), openStock(store)]);
  return <StockScreen opened={opened} house={settings} />;
}
