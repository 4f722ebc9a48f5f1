import type { Store } from "@/data/store";
import type { DealPeople } from "@/exchange/people";
import type { Asker } from "../asker";
import { Refusal } from "../refusal";
import type { DealPeopleRequest } from "../requests";

/** Whose a deal is, and who else works on it. */
export async function openDealPeople(store: Store, id: string): Promise<DealPeople> {
  const people = await store.dealPeopleOf(id);
  if (!people) throw new Refusal(404, "There is no deal at this address.");
  return people;
}

const ALL = 100;

/** Hands a deal over, and says who works on it. A seller hands over their own. */
export async function saveDealPeople(
  store: Store,
  { person, reach }: Asker,
  id: string,
  { mark, people, owner, branch }: DealPeopleRequest,
): Promise<DealPeople> {
  const before = await openDealPeople(store, id);
  if (person && reach === "own" && before.owner !== null && before.owner !== person.id)
    throw new Refusal(403, "This deal is handed over by whose it is, or by an officer of the branch.");
  const percents = people.map(({ percent }) => Number(percent));
  if (percents.reduce((sum, each) => sum + each, 0) > ALL)
    throw new Refusal(422, "The shares of those who work on it come to more than 100 %.");
  if (new Set([owner, ...people.map(({ who }) => who)]).size < people.length + 1)
    throw new Refusal(422, "Everybody stands on a deal once.");
  const kept = await store.keepDealPeople(id, mark, {
    owner,
    branch: branch?.trim() || null,
    people: people.map(each => ({ ...each, percent: String(each.percent) })),
  });
  if (kept === "changed")
    throw new Refusal(409, "Who works on this deal was changed somewhere else since; look at it again.");
  if (kept === "unknown") throw new Refusal(422, "One of them does not work here any more.");
  if (!kept) throw new Refusal(404, "There is no deal at this address.");
  return kept;
}
