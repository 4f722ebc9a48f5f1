import type { Store } from "@/data/store";
import { LONGEST_NAME } from "@/exchange/deal-document";
import type { SuggestedNames } from "./contract";
import { Refusal } from "./refusal";

/** Customers or vehicles to pick from, as one types: those that hold what was typed so far. */
export async function suggestedNames(store: Store, asked: URLSearchParams): Promise<SuggestedNames> {
  const [customer, vehicle] = [asked.get("customer"), asked.get("vehicle")];
  const text = customer ?? vehicle;
  if (text === null || (customer !== null && vehicle !== null))
    throw new Refusal(422, "Ask for a customer or for a vehicle, with what was typed of it.");
  if (text.length > LONGEST_NAME || text.includes("\u0000"))
    throw new Refusal(422, `A name has at most ${LONGEST_NAME} letters.`);
  return customer === null
    ? { vehicles: await store.vehiclesLike(text) }
    : { customers: await store.customersLike(text) };
}
