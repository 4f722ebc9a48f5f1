import { DEMO_OWNERS, DEMO_PASSWORD, DEMO_PEOPLE, DEMO_SHARE } from "#demo/people";
import type { Store } from "@/data/store";
import type { Visit } from "@/exchange/people";

const NOBODYS_VISIT: Visit = { cookie: "", address: null, agent: null, origin: "http://localhost" };

/** Gives the demo's people their names, their passwords and their deals, where nobody has a name yet. */
export async function loadDemoPeople(store: Store): Promise<void> {
  if (await store.hasPeople()) return;
  const [first, ...others] = DEMO_PEOPLE;
  await store.makeFirst(NOBODYS_VISIT, first, DEMO_PASSWORD);
  for (const each of others) {
    const person = await store.addPerson(each);
    if (typeof person === "string") throw new Error(person);
    await store.takeLink(NOBODYS_VISIT, await store.makeLink(person.id), DEMO_PASSWORD);
  }
  // Nobody is signed in by that.
  const people = await store.listPeople();
  for (const { id } of people) await store.signOutEverywhere(id);
  await shareOut(store, new Map(people.map(({ username, id, branch }) => [username, { id, branch }])));
}

async function shareOut(
  store: Store,
  people: ReadonlyMap<string, { id: string; branch: string | null }>,
): Promise<void> {
  const { records } = await store.dealsAfter(null, 200);
  const inOrder = [...records].sort((one, other) => one.changedAt.getTime() - other.changedAt.getTime());
  for (const [place, { id }] of inOrder.entries()) {
    const { owner = "", seller } = DEMO_OWNERS[place % DEMO_OWNERS.length] ?? {};
    const [has, sold] = [people.get(owner), people.get(seller ?? "")];
    const kept = await store.dealPeopleOf(id);
    if (!has || !kept) continue;
    await store.keepDealPeople(id, kept.mark, {
      owner: has.id,
      branch: has.branch,
      people: sold ? [{ who: sold.id, role: "seller", percent: DEMO_SHARE }] : [],
    });
  }
}
