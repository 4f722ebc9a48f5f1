import type { Erased } from "@/data/erase";
import type { NamedMember } from "@/data/names";
import type { Store } from "@/data/store";
import { NAMED_MEMBERS, type Named } from "@/exchange/deal-document";
import type { CountedRecord } from "./contract";
import { isUuid } from "./door";
import { Refusal } from "./refusal";
import type { NameRequest } from "./requests";

/** Which customer, or which vehicle, an address means. */
type RecordAddress = { member: NamedMember; id: string };

/** Checks such an address. */
export async function readRecord(params: Promise<{ member: string; id: string }>): Promise<RecordAddress> {
  const { member, id } = await params;
  const known = NAMED_MEMBERS.find(each => each === member);
  if (!known)
    throw new Refusal(404, "There are customers and vehicles, and nothing else, at such addresses.");
  if (!isUuid(id)) throw new Refusal(404, missing(known));
  return { member: known, id };
}

const missing = (member: NamedMember) => `There is no such ${member}.`;

/** A customer or a vehicle, and how many deals beside the one in view name it. */
export async function openRecord(
  store: Store,
  { member, id }: RecordAddress,
  besideDeal: string | null,
): Promise<CountedRecord> {
  if (besideDeal !== null && !isUuid(besideDeal))
    throw new Refusal(400, "The address must name the deal in view by its id, or not at all.");
  const record = await store.recordOf(member, id, besideDeal);
  if (!record) throw new Refusal(404, missing(member));
  return record;
}

/** Corrects a name in each deal that has it. */
export async function correctRecord(
  store: Store,
  { member, id }: RecordAddress,
  { was, name }: NameRequest,
): Promise<Named> {
  const corrected = await store.correctName(member, id, was, name);
  if (corrected === undefined) throw new Refusal(404, missing(member));
  if (corrected === "changed") throw new Refusal(409, "It was called otherwise meanwhile; look at it again.");
  return corrected;
}

/** Blanks a customer wherever one is named; figures stay. */
export async function eraseRecord(store: Store, { member, id }: RecordAddress): Promise<Erased> {
  if (member !== "customer") throw new Refusal(422, "Customers are erased, and nothing else.");
  const erased = await store.eraseCustomer(id);
  if (!erased) throw new Refusal(404, missing(member));
  return erased;
}

/** Makes two customers, or two vehicles, one: the other one is no more. */
export async function makeOneRecord(
  store: Store,
  { member, id }: RecordAddress,
  other: string,
): Promise<Named> {
  if (other === id) throw new Refusal(422, "They are one already.");
  const kept = await store.makeOne(member, id, other);
  if (!kept) throw new Refusal(404, "One of them is not there any more.");
  return kept;
}
