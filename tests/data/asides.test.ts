import { getDeal, setDeleted, updateDeal } from "@/data/deals";
import { changesOf } from "@/data/history";
import { insertDeals } from "@/data/new-deals";
import { findLines } from "@/data/register-page";
import { type Asides, type DealDocument, headingOf, mergeFigures } from "@/exchange/deal-document";
import type { LoanFile } from "@/exchange/kinds/loan";
import { figuresFrom, makeFigures } from "@/server/figures";
import { named } from "../named";
import { testDatabase } from "./test-database";

const open = testDatabase();

const [ONE, OTHER] = ["11111111-1111-4111-8111-111111111111", "22222222-2222-4222-8222-222222222222"];
const inputs: LoanFile = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "30000.00" },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72 },
  find: "payment",
};
const document: DealDocument = {
  customer: named("Nerys Holloway"),
  status: "quoting",
  chosen: ONE,
  options: [
    { id: ONE, name: "As asked", inputs },
    { id: OTHER, name: "Shorter", inputs: { ...inputs, plan: { ...inputs.plan, payments: 36 } } },
  ],
};
const heading = headingOf(document);

const earning = (rate: string) => ({ return: { rate } });
const tried: Asides = { ...earning("4"), options: { [ONE]: { early: { each: "50.00" } } } };

const SIGNING = { at: new Date(), coreVersion: "0", isLate: false, quotes: [] };

async function keep(changes: Partial<DealDocument> = {}): Promise<string> {
  const [id = ""] = await insertDeals(open.database, [{ ...document, ...changes, signing: SIGNING }]);
  return id;
}
const kept = async (id: string) => (await getDeal(open.database, id))?.document;

test("what is tried is kept with a deal that comes in with it, and comes back as it was", async () => {
  expect(await kept(await keep({ asides: tried }))).toEqual({ ...document, asides: tried });
  expect(await kept(await keep())).not.toHaveProperty("asides");
});

test("asides and an option that two change at once are both kept, whoever is first; asides that both change clash", async () => {
  const options = [{ id: ONE, name: "Renamed", inputs }];
  for (const changes of [
    [{ asides: tried }, { options }],
    [{ options }, { asides: tried }],
  ]) {
    const id = await keep();
    for (const change of changes) expect(await updateDeal(open.database, id, 1, change)).toBeDefined();
    expect(await kept(id)).toMatchObject({ asides: tried, options: [options[0], document.options[1]] });
    const others = earning("6");
    expect(await updateDeal(open.database, id, 1, { asides: others })).toBeUndefined();
    expect(await updateDeal(open.database, id, 3, { asides: others })).toBeDefined();
    expect(await kept(id)).toMatchObject({ asides: others });
  }
});

test("a page puts together what two have tried, member by member", () => {
  const base = { ...document, asides: earning("4") };
  const mine = { ...document, asides: tried };
  const theirs = { ...document, asides: earning("6") };
  expect(mergeFigures(base, mine, theirs)?.asides).toEqual({ ...tried, ...earning("6") });
  expect(mergeFigures(base, { ...base, asides: earning("3") }, theirs)).toBeNull();
});

test("what was tried on an option is there again when the option comes back; nothing tried is no part", async () => {
  const others = { options: { [OTHER]: { early: {} } } };
  const id = await keep({ asides: others });
  await updateDeal(open.database, id, 1, { order: { chosen: ONE, options: [ONE] } });
  const order = { chosen: ONE, options: [ONE, OTHER] };
  await updateDeal(open.database, id, 2, { order, options: document.options.slice(1) });
  expect(await kept(id)).toEqual({ ...document, asides: others });
  await updateDeal(open.database, id, 3, { asides: tried });
  await updateDeal(open.database, id, 4, { asides: {} });
  expect(await kept(id)).not.toHaveProperty("asides");
});

test("on a signed deal more can be tried, and nothing else changed", async () => {
  const id = await keep({ status: "signed" });
  expect(await updateDeal(open.database, id, 1, { asides: tried })).toMatchObject({ version: 2 });
  const both = {
    asides: {},
    heading: { ...heading, status: "signed" as const, customer: named("Somebody else") },
  };
  expect(await updateDeal(open.database, id, 2, both)).toBe("signed");
  expect(await kept(id)).toMatchObject({
    status: "signed",
    customer: named("Nerys Holloway"),
    asides: tried,
  });
});

test("what is tried meanwhile stands in the way of no signing, choosing, reopening or deleting; what is agreed does", async () => {
  const signed = { heading: { ...heading, status: "signed" as const } };
  const chosen = { order: { chosen: OTHER, options: [ONE, OTHER] } };
  const renamed = { options: [{ id: ONE, name: "Renamed", inputs }] };
  const saving = {
    signing: {
      document: { ...document, status: "signed" as const },
      quotes: SIGNING,
    },
  };
  for (const [change, isTaken] of [
    [{ asides: tried }, true],
    [renamed, false],
  ] as const) {
    const after = async () => {
      const id = await keep();
      await updateDeal(open.database, id, 1, change);
      return id;
    };
    expect((await updateDeal(open.database, await after(), 1, chosen)) !== undefined).toBe(isTaken);
    expect((await updateDeal(open.database, await after(), 1, signed, saving)) !== undefined).toBe(isTaken);
    expect(await setDeleted(open.database, await after(), true, 1)).toBe(isTaken ? true : "changed");
  }
  const id = await keep();
  await updateDeal(open.database, id, 1, signed, saving);
  await updateDeal(open.database, id, 2, { asides: tried });
  expect(await updateDeal(open.database, id, 2, { heading }, { reopens: true })).toMatchObject({
    version: 4,
  });
});

test("asides make no figures of the register anew", async () => {
  const id = await keep({ customer: named("Oswin Barrowclough") });
  await makeFigures(open.store, async from => figuresFrom(from));
  const line = async () =>
    (
      await findLines(open.database, {
        search: "barrowclough",
        sort: "changedAt",
        descending: true,
        skip: 0,
        most: 1,
      })
    ).lines[0];
  const before = await line();
  await updateDeal(open.database, id, 1, { asides: tried });
  expect(await line()).toMatchObject({ payment: before?.payment, madeBy: before?.madeBy });
  expect(await changesOf(open.database, id)).toHaveLength(2);
});
