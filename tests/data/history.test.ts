import { and, count, eq, gt, sql } from "drizzle-orm";
import { CORE_VERSION } from "@/core";
import { getDeal, setDeleted, updateDeal } from "@/data/deals";
import { changesOf, stateAfter } from "@/data/history";
import { insertDeals } from "@/data/new-deals";
import { dealChanges } from "@/data/schema";
import { getSigning, keepLateSigning, type Signing, signedWithoutQuotes } from "@/data/signings";
import {
  type DealDocument,
  type DealOption,
  differenceBetween,
  withDifference,
} from "@/exchange/deal-document";
import type { LoanFile } from "@/exchange/kinds/loan";
import { signQuote } from "@/exchange/signed-quote";
import { figuresFrom, makeFigures } from "@/server/figures";
import { named } from "../named";
import { testDatabase } from "./test-database";

const open = testDatabase();

const inputs: LoanFile = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: {
    price: "41850.00",
    tradeIn: { allowance: "9200.00", owed: "11050.00" },
    down: { amount: "3000.00" },
  },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72, signed: "2026-11-24" },
  find: "payment",
};
const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`;
const option = (n: number, change: Partial<LoanFile> = {}): DealOption => ({
  id: id(n),
  name: "",
  inputs: { ...inputs, ...change },
});
const heading = { customer: named("Ida"), status: "quoting" as const };
const deal = (...options: DealOption[]): DealDocument => ({
  ...heading,
  chosen: options[0]?.id ?? "",
  options,
});
const withDown = (n: number, amount: string) =>
  option(n, { structure: { ...inputs.structure, down: { amount } } });

async function keep(document = deal(option(1))): Promise<string> {
  const [dealId = ""] = await insertDeals(open.database, [document]);
  return dealId;
}

/** Saves a change, as if so much time had passed since the one before. */
async function save(dealId: string, change: Parameters<typeof updateDeal>[3], passedMs = 120_000) {
  const passed = sql`${`${passedMs} milliseconds`}::interval`;
  await open.database
    .update(dealChanges)
    .set({ at: sql`${dealChanges.at} - ${passed}`, began: sql`${dealChanges.began} - ${passed}` })
    .where(and(eq(dealChanges.dealId, dealId), gt(dealChanges.at, sql`now() - interval '1 hour'`)));
  const kept = await getDeal(open.database, dealId);
  return updateDeal(open.database, dealId, kept?.version ?? 0, change);
}

const make = () => makeFigures(open.store, async from => figuresFrom(from));
const stateOf = async (dealId: string, number: number) => {
  const kept = await getDeal(open.database, dealId);
  if (!kept) throw new Error("There is no such deal.");
  return stateAfter(open.database, dealId, kept.document, number);
};

test("each saved change is kept in words, with the payment that it led to, and as a state", async () => {
  const dealId = await keep();
  await make();
  await save(dealId, { options: [withDown(1, "4500.00")] });
  await make();
  await save(dealId, { heading: { ...heading, status: "agreed" } });
  await make();
  const changes = await changesOf(open.database, dealId);
  expect(changes.map(({ number, kind, words, payment }) => [number, kind, words, payment])).toEqual([
    [3, "changed", "status quoting → agreed", 65_876],
    [2, "changed", "cash down 3,000.00 → 4,500.00", 65_876],
    [1, "begun", "", 68_397],
  ]);
  expect(await stateOf(dealId, 1)).toEqual(deal(option(1)));
  expect(await stateOf(dealId, 2)).toEqual(deal(withDown(1, "4500.00")));
  expect(await stateOf(dealId, 3)).toEqual({ ...deal(withDown(1, "4500.00")), status: "agreed" });
  expect(await stateOf(dealId, 4)).toBeUndefined();
});

test("close changes are one; what is changed back again is none", async () => {
  const dealId = await keep();
  await save(dealId, { options: [withDown(1, "4.00")] });
  await save(dealId, { options: [withDown(1, "45.00")] }, 1000);
  await save(dealId, { options: [withDown(1, "4500.00")] }, 1000);
  await make();
  await save(dealId, { heading: { ...heading, vehicle: named("A van") } }, 1000);
  expect((await changesOf(open.database, dealId))[0]?.payment).toBe(65_876);
  await save(dealId, { heading }, 1000);
  expect((await changesOf(open.database, dealId)).map(({ words }) => words)).toEqual([
    "cash down 3,000.00 → 4,500.00",
    "",
  ]);
  expect(await stateOf(dealId, 1)).toEqual(deal(option(1)));
  await save(dealId, { options: [option(1)] }, 1000);
  expect(await changesOf(open.database, dealId)).toHaveLength(1);
});

test("options that come and go, their names and their order come back with the state", async () => {
  const dealId = await keep();
  const states = [
    deal(option(1)),
    deal(option(1), option(2, { plan: { ...inputs.plan, payments: 60 } })),
    {
      ...deal(option(2, { plan: { ...inputs.plan, payments: 60 } }), { ...option(1), name: "The a/b ~ one" }),
      chosen: id(1),
    },
    deal(option(2, { plan: { ...inputs.plan, payments: 60, balloon: { percent: "20" } } })),
  ];
  for (const { chosen, options } of states.slice(1))
    await save(dealId, { order: { chosen, options: options.map(each => each.id) }, options });
  for (const [index, state] of states.entries()) expect(await stateOf(dealId, index + 1)).toEqual(state);
  expect((await changesOf(open.database, dealId)).map(({ words }) => words).reverse()).toEqual([
    "",
    "option “60 monthly” added",
    "order 60 monthly · The a/b ~ one, The a/b ~ one: name The a/b ~ one",
    expect.stringContaining("option “The a/b ~ one” deleted"),
  ]);
});

test("a difference leads from any state to any other", () => {
  const [one, other] = [
    deal(option(1), option(2)),
    { ...deal(withDown(1, "1.00"), option(2)), budget: "600.00" },
  ];
  expect(differenceBetween(one, other)).toEqual([
    ["0/inputs/structure/down/amount", "1.00"],
    ["budget", "600.00"],
  ]);
  expect(withDifference(one, differenceBetween(one, other))).toEqual(other);
  expect(withDifference(other, differenceBetween(other, one))).toEqual(one);
});

test("200 changes of a deal of four options take at most 40 kB, and the oldest state is still there", async () => {
  const options = [1, 2, 3, 4].map(n => option(n));
  const dealId = await keep(deal(...options));
  for (let n = 1; n <= 200; n++) {
    expect(await save(dealId, { options: [withDown(1 + (n % 4), `${3000 + n}.00`)] })).toBeDefined();
  }
  const [size] = await open.database
    .select({ bytes: sql<number>`sum(pg_column_size(deal_changes.*))::int`, rows: count() })
    .from(dealChanges)
    .where(eq(dealChanges.dealId, dealId));
  expect(size?.rows).toBe(201);
  expect(size?.bytes).toBeLessThanOrEqual(40 * 1024);
  expect(await stateOf(dealId, 1)).toEqual(deal(...options));
}, 120_000);

const signingOf = (document: DealDocument, change: Partial<Signing> = {}): Signing => ({
  at: new Date(),
  coreVersion: CORE_VERSION,
  isLate: false,
  quotes: document.options.map(({ id: optionId, inputs: typed }) => signQuote(optionId, typed)),
  ...change,
});

test("a deal is signed with the quote of every option, and then changed by reopening it alone", async () => {
  const document = deal(option(1), option(2, { structure: {} }));
  const dealId = await keep(document);
  const signed = { ...document, status: "signed" as const };
  const sign = { heading: { ...heading, status: "signed" as const } };
  expect(await updateDeal(open.database, dealId, 1, sign)).toBe("withoutQuotes");
  // Quotes of another state of the deal are not taken.
  const wrong = { document: { ...signed, customer: named("Ola") }, quotes: signingOf(signed) };
  expect(await updateDeal(open.database, dealId, 1, sign, { signing: wrong })).toBe("withoutQuotes");
  const signing = { document: signed, quotes: signingOf(signed) };
  expect(await updateDeal(open.database, dealId, 1, sign, { signing })).toMatchObject({ version: 2 });
  const kept = await getSigning(open.database, dealId);
  expect(kept?.quotes).toMatchObject([
    { optionId: id(1), figures: { payment: 68_397 }, rates: { credit: { apr: expect.any(Number) } } },
    { optionId: id(2), kind: "none", words: { sentence: expect.stringContaining("price") } },
  ]);

  expect(await updateDeal(open.database, dealId, 2, { options: [withDown(1, "1.00")] })).toBe("signed");
  expect(await updateDeal(open.database, dealId, 2, { heading })).toBe("signed");
  // A save that was kept already is confirmed.
  expect(await updateDeal(open.database, dealId, 1, sign)).toMatchObject({ version: 2 });
  expect(await setDeleted(open.database, dealId, true)).toBe("signed");
  expect((await getDeal(open.database, dealId))?.document).toEqual(signed);

  expect(await updateDeal(open.database, dealId, 2, { heading }, { reopens: true })).toMatchObject({
    version: 3,
  });
  expect(await getSigning(open.database, dealId)).toBeUndefined();
  expect((await changesOf(open.database, dealId)).map(({ kind }) => kind)).toEqual([
    "reopened",
    "signed",
    "begun",
  ]);
  expect(await setDeleted(open.database, dealId, true)).toBe(true);
});

test("a deal stays in one currency, also where one option is saved alone", async () => {
  const dealId = await keep(deal(option(1), option(2)));
  expect(await updateDeal(open.database, dealId, 1, { options: [option(2, { currency: "EUR" })] })).toBe(
    "currencies",
  );
  expect(await changesOf(open.database, dealId)).toHaveLength(1);
});

test("deals that were signed before quotes were kept are found, and marked when theirs are kept", async () => {
  const document = { ...deal(option(1)), status: "signed" as const };
  const dealId = await keep(document);
  expect(await signedWithoutQuotes(open.database, 100)).toContain(dealId);
  await keepLateSigning(open.database, dealId, 9, signingOf(document, { isLate: true }));
  expect(await getSigning(open.database, dealId)).toBeUndefined();
  await keepLateSigning(open.database, dealId, 1, signingOf(document, { isLate: true }));
  expect(await getSigning(open.database, dealId)).toMatchObject({ isLate: true });
  expect(await signedWithoutQuotes(open.database, 100)).not.toContain(dealId);
});
