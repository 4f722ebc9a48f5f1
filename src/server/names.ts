import type { Database } from "@/data/database";
import { customersLike, vehiclesLike } from "@/data/suggestions";
import { LONGEST_NAME } from "@/exchange/deal-document";
import type { SuggestedNames } from "./contract";
import { Refusal } from "./refusal";

/** Customers or vehicles to pick from, as one types: those that hold what was typed so far. */
export async function suggestedNames(database: Database, asked: URLSearchParams): Promise<SuggestedNames> {
  const [customer, vehicle] = [asked.get("customer"), asked.get("vehicle")];
  const text = customer ?? vehicle;
  if (text === null || (customer !== null && vehicle !== null))
    throw new Refusal(422, "Ask for a customer or for a vehicle, with what was typed of it.");
  if (text.length > LONGEST_NAME || text.includes("\u0000"))
    throw new Refusal(422, `A name has at most ${LONGEST_NAME} letters.`);
  return customer === null
    ? { vehicles: await vehiclesLike(database, text) }
    : { customers: await customersLike(database, text) };
}
