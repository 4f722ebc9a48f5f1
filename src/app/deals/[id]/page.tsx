import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { DealDesk } from "@/features/deal/DealDesk";
import { serverDatabase } from "@/server/database";
import { dealPage } from "@/server/deal-page";

type Props = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const page = await dealPage(await serverDatabase(), (await params).id);
  return { title: page?.deal.document.customer || "New deal" };
}

export default async function DealPage({ params }: Props) {
  const page = await dealPage(await serverDatabase(), (await params).id);
  if (!page) notFound();
  return <DealDesk {...page} />;
}
