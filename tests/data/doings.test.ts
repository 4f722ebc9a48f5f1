// Who did what: noted with what was done or not at all, without a customer's text, and for as long as the house keeps it.
import { sql } from "drizzle-orm";
import { onBehalfOf } from "@/data/asked-by";
import type { NotedDoing } from "@/data/doings";
import { addPerson } from "@/data/people";
import type { AskedBy, Person } from "@/exchange/people";
import { DEFAULT_SETTINGS } from "@/exchange/settings";
import { removeOld } from "@/server/retention";
import { named } from "../named";
import { numberedDeal } from "./numbered-deal";
import { testDatabase } from "./test-database";

const tested = testDatabase();
let maren: Person;
let by: AskedBy;

beforeAll(async () => {
  const added = await addPerson(tested.database, {
    name: "Maren Castellane",
    username: "maren",
    roles: ["manager"],
    branch: "Harbour",
  });
  if (typeof added === "string") throw new Error(added);
  maren = added;
  by = { who: maren.id, branch: maren.branch, from: "192.0.2.7", request: "ab12" };
});

const noted = (of?: string): Promise<NotedDoing[]> =>
  tested.store.findDoings({ ...(of && { of }), most: 500 });
const asMaren = <Answer>(work: () => Answer) => onBehalfOf(by, work);

async function newDeal(): Promise<string> {
  const { store } = tested;
  const deal = { ...numberedDeal(1), customer: named("Quill Faraway"), notes: "calls on Mondays" };
  const [id = ""] = await asMaren(() => store.insertDeals([deal]));
  return id;
}

test("a deal is of whoever begins it and of their branch; each save says by whom, when and from where", async () => {
  const { store } = tested;
  const id = await newDeal();
  expect(await store.dealPeopleOf(id)).toMatchObject({ owner: maren.id, branch: "Harbour", people: [] });
  const { options } = numberedDeal(2);
  await asMaren(() => store.updateDeal(id, 1, { options }));
  const lines = await noted(id);
  expect(lines.map(({ what, who, from, request }) => [what, who, from, request])).toEqual([
    ["savedDeal", maren.id, "192.0.2.7", "ab12"],
    ["begunDeal", maren.id, "192.0.2.7", "ab12"],
  ]);
  expect(JSON.stringify(await noted())).not.toMatch(/Quill|Mondays/);
  const history = await store.changesOf(id);
  expect(history.map(({ who }) => who)).toEqual([maren.id, maren.id]);
});

test("changes of two that follow closely are two; nothing is noted of what nobody has asked for", async () => {
  const { store } = tested;
  const id = await newDeal();
  await asMaren(() => store.updateDeal(id, 1, { options: numberedDeal(2).options }));
  await store.updateDeal(id, 2, { options: numberedDeal(3).options });
  const history = await store.changesOf(id);
  expect(history.map(({ kind, who }) => [kind, who])).toEqual([
    ["changed", null],
    ["changed", maren.id],
    ["begun", maren.id],
  ]);
  expect(await noted(id)).toHaveLength(2);
});

test("what was not done is not noted, and what cannot be noted is not done", async () => {
  const { store } = tested;
  const id = await newDeal();
  const before = (await noted(id)).length;
  expect(await asMaren(() => store.setDeleted(id, true, 99))).toBe("changed");
  expect(await asMaren(() => store.updateDealer(id, 99, {}))).toBeDefined();
  expect(await noted(id)).toHaveLength(before + 1);
  await tested.database.execute(sql`alter table doings rename to doings_away`);
  await expect(asMaren(() => store.setDeleted(id, true))).rejects.toThrow();
  await tested.database.execute(sql`alter table doings_away rename to doings`);
  expect((await store.versionOf(id))?.deleted).toBe(false);
});

test("the same by the same within a minute is one; pages of it follow each other without a gap", async () => {
  const { store } = tested;
  for (let k = 0; k < 5; k++) await asMaren(() => store.noteDoing({ what: "sawRates" }));
  expect((await noted()).filter(({ what }) => what === "sawRates")).toHaveLength(1);
  await tested.database.execute(sql`insert into doings (at, what)
    select now() - make_interval(secs => n / 3), 'sawCosts' from generate_series(1, 60) n`);
  const all = await noted();
  const paged: NotedDoing[] = [];
  for (let before: { at: Date; id: string } | null = null; ; ) {
    const page: NotedDoing[] = await store.findDoings({ before, most: 7 });
    paged.push(...page);
    const last = page.at(-1);
    if (page.length < 7 || !last) break;
    before = { at: last.at, id: last.id };
  }
  expect(paged.map(({ id }) => id)).toEqual(all.map(({ id }) => id));
});

test("it is kept for as long as the house has settled, and so are deals whose papers are gone", async () => {
  const { store } = tested;
  const [old, recent, withPaper] = [await newDeal(), await newDeal(), await newDeal()];
  await tested.database.execute(sql`insert into blobs values ('aa', '\\x00')`);
  await tested.database.execute(sql`insert into papers (deal_id, kind, at, deal_version, core_version, sha256)
    values (${withPaper}::uuid, 'proposal', now(), 1, '4', 'aa')`);
  await tested.database.execute(sql`update deals set changed_at = now() - interval '26 months'
    where id in (${old}::uuid, ${withPaper}::uuid)`);
  await tested.database.execute(
    sql`insert into doings (at, what) values (now() - interval '25 months', 'sawEarned')`,
  );
  expect(await removeOld(store)).toEqual({ papers: 0, doings: 0, deals: 0 });
  const kept = await store.getSettings();
  const settings = { ...DEFAULT_SETTINGS, people: { monthsOfDoings: 24, monthsOfDeals: 25 } };
  await store.keepSettings(kept?.version ?? 0, settings);
  expect(await removeOld(store)).toEqual({ papers: 0, doings: 1, deals: 1 });
  expect(
    await Promise.all([old, recent, withPaper].map(async id => (await store.versionOf(id)) !== undefined)),
  ).toEqual([false, true, true]);
});

test("an erased customer is nowhere in words, and every figure is as it was", async () => {
  const { store } = tested;
  const id = await newDeal();
  const before = await store.getDeal(id);
  const customer = before?.document.customer?.id ?? "";
  await asMaren(() => store.updateDeal(id, 1, { options: numberedDeal(7).options }));
  await asMaren(() =>
    store.updateDeal(id, 2, {
      heading: {
        ...before?.document,
        status: "quoting",
        notes: "calls on Fridays",
        customer: named("Quill F."),
      },
    } as never),
  );
  const now = await store.getDeal(id);
  const erased = await asMaren(() => store.eraseCustomer(now?.document.customer?.id ?? customer));
  expect(erased).toEqual({ deals: 1, papersKept: 0 });
  const { rows } =
    (await tested.database.execute(sql`select to_jsonb(d)::text || coalesce((select string_agg(to_jsonb(c)::text, ' ')
      from deal_changes c where c.deal_id = d.id), '') || (select to_jsonb(l)::text from register_lines l where l.deal_id = d.id) as text
    from deals d where id = ${id}::uuid`)) as unknown as { rows: { text: string }[] };
  expect(rows[0]?.text).not.toMatch(/Quill|Mondays|Fridays/i);
  const after = await store.getDeal(id);
  expect(after?.document.customer?.name).toBe("Erased customer");
  expect(after?.document.options).toEqual(now?.document.options);
  expect(after?.document.notes).toBeUndefined();
  // Earlier states still open, with their figures.
  if (!after) throw new Error("It is gone.");
  expect((await store.stateAfter(id, after.document, 1))?.options).toEqual(before?.document.options);
  expect(await asMaren(() => store.eraseCustomer("00000000-0000-4000-8000-000000000000"))).toBeUndefined();
});
