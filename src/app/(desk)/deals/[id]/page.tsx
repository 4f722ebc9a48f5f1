import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { cache } from "react";
import { DealDesk } from "@/features/deal/DealDesk";
import { findDealJson } from "@/server/deals";
import { isUuid } from "@/server/door";
import { Refusal } from "@/server/refusal";
import { houseSettings } from "../../../house";
import { storeFor } from "../../../visit";

type Props = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: (await dealOf((await params).id))?.customer || "New deal" };
}

/**
 * The deal of the page, read once for its title and for itself. A deleted one opens too, so that it can be brought back,
 * and with it a change that was never saved.
 */
const dealOf = cache(async (id: string) => {
  const store = isUuid(id) ? await storeFor("seeDeals") : undefined;
  // What whoever asks does not see is not there.
  return store && findDealJson(store, id).catch(orNone);
});

function orNone(error: unknown): undefined {
  if (!(error instanceof Refusal)) throw error;
}

export default async function DealPage({ params }: Props) {
  const deal = await dealOf((await params).id);
  if (!deal) notFound();
  const { settings } = await houseSettings();
  return <DealDesk json={deal.json} house={settings} />;
}
