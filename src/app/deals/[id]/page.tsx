import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { DealDesk } from "@/features/deal/DealDesk";
import { findDeal } from "@/server/deals";
import { isDealId } from "@/server/door";
import { serverStore } from "@/server/store";

type Props = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: (await shownDeal(params))?.document.customer || "New deal" };
}

/** A deleted deal opens too, so that it can be brought back, and with it a change that was never saved. */
async function shownDeal(params: Props["params"]) {
  const { id } = await params;
  return isDealId(id) ? findDeal(await serverStore(), id) : undefined;
}

export default async function DealPage({ params }: Props) {
  const deal = await shownDeal(params);
  if (!deal) notFound();
  return <DealDesk deal={deal} />;
}
