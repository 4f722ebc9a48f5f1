import type { Metadata } from "next";
import { StockScreen } from "@/features/stock/StockScreen";
import { openStock } from "@/server/stock";
import { serverStore } from "@/server/store";
import { houseSettings } from "../../house";

export const metadata: Metadata = { title: "Stock" };

export default async function StockPage() {
  const [{ settings }, opened] = await Promise.all([
    houseSettings(),
    serverStore().then(store => openStock(store)),
  ]);
  return <StockScreen opened={opened} house={settings} />;
}
