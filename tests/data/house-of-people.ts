import { DEMO_PASSWORD } from "#demo/people";
import { onBehalfOf } from "@/data/asked-by";
import type { Store } from "@/data/store";
import { loadDemoPeople } from "@/server/demo-people";

/** Gives the demo its people, and a row to each table of people: one is signed in with codes begun, failed before, and released something. */
export async function fillWithPeople(store: Store): Promise<void> {
  await loadDemoPeople(store);
  const visit = { cookie: "", address: "192.0.2.4", agent: null, origin: "http://localhost" };
  await store.signIn(visit, "maren", "wrong");
  const answer = await store.signIn({ ...visit, address: null }, "maren", DEMO_PASSWORD);
  if (answer.kind !== "in") throw new Error(answer.kind);
  const cookie = answer.cookies.map(each => each.split(";")[0]).join("; ");
  await store.beginCodes({ ...visit, address: null, cookie }, DEMO_PASSWORD);
  await store.makeLink(answer.person);
  await store.signIn(visit, "maren", "wrong again");
  const { records } = await store.dealsAfter(null, 1);
  const by = { who: answer.person, branch: null, from: null, request: null };
  await onBehalfOf(by, () =>
    store.keepRelease(records[0]?.id ?? "", records[0]?.version ?? 1, {
      kind: "limit",
      detail: "60 months, at most 48",
      reason: "a fleet",
    }),
  );
}
