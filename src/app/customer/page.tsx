import type { Metadata } from "next";
import { CustomerWindow } from "@/features/customer-screen/CustomerWindow";
import { houseSettings } from "../house";
import { visitor } from "../visit";

export const metadata: Metadata = { title: { absolute: "Customer screen" } };

/** The customer's window: the server gives it nothing of any deal. */
export default async function CustomerPage() {
  await visitor();
  const { settings } = await houseSettings();
  return <CustomerWindow house={settings.houseName} />;
}
