import { Readable } from "node:stream";
import { parseIsoDate } from "@/core";
import type { Store } from "@/data/store";
import { nameOf } from "@/exchange/deal-document";
import { openDealer } from "../dealer";
import { openDeal } from "../deals";
import { Refusal } from "../refusal";
import { openSettings } from "../settings";
import { inThread } from "./in-thread";
import { houseOf } from "./papers";

/** Both sides of a deal on one paper, as it is saved now: for whom the dealer's side is open, and not kept. */
export async function recapOf(store: Store, dealId: string, request: Request) {
  const { searchParams } = new URL(request.url);
  const day = parseIsoDate(searchParams.get("day") ?? "");
  if (day === undefined)
    throw new Refusal(400, "The address must name the day on the paper, such as ?day=2026-11-30.");
  const { document } = await openDeal(store, dealId);
  const { document: dealer } = await openDealer(store, dealId);
  const { settings } = await openSettings(store);
  const question = {
    document,
    dealer,
    option: searchParams.get("option") ?? undefined,
    house: await houseOf(store, settings),
    locale: settings.locale,
    day,
  };
  const made = await inThread({ kind: "recap", question });
  if (!made) throw new Refusal(422, "The paper took too much work to be made.");
  if ("sentence" in made) throw new Refusal(422, made.sentence);
  if (!("recap" in made)) throw new Error("A recap was asked for.");
  return {
    fileName: `${nameOf(document.customer) || "Deal"}, deal recap.pdf`,
    type: "application/pdf",
    bytes: Readable.from([made.recap]),
  };
}
