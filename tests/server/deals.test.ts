import { randomUUID } from "node:crypto";
import { CORE_VERSION } from "@/core";
import { signQuote } from "@/exchange/signed-quote";
import { wholeDealOf } from "@/exchange/whole-deal";
import { findDealJson, importDeal, openDeal, openDealJson } from "@/server/deals";
import { bringInDeals } from "@/server/deals-file";
import { checkNewDealRequest, checkSaveRequest } from "@/server/requests";
import { numberedDeal } from "../data/numbered-deal";
import { testDatabase } from "../data/test-database";
import { named } from "../named";

const data = testDatabase();
const QUOTED = { ...numberedDeal(1), customer: named('Zoë "🚐" O’Hollow\\'), notes: "Said </script> later" };

function signed() {
  const document = numberedDeal(2);
  const quotes = document.options.map(({ id, inputs }) => signQuote(id, inputs));
  return { ...document, signing: { at: new Date(), coreVersion: CORE_VERSION, isLate: false, quotes } };
}

test("a deal that is passed on as JSON is the deal, with what it was signed with where it is signed", async () => {
  const deals = [QUOTED, { ...signed(), status: "signed" as const }];
  for (const id of await data.store.insertDeals(deals)) {
    const deal = await openDeal(data.store, id);
    expect(JSON.parse(await openDealJson(data.store, id))).toEqual(JSON.parse(JSON.stringify(deal)));
    expect(deal.signing !== undefined).toBe(deal.document.status === "signed");
  }
});

test("a deleted one is found, and refused to who wants it to work on; one that never was is not there", async () => {
  const [id = ""] = await data.store.insertDeals([QUOTED]);
  await data.store.setDeleted(id, true);
  expect(await findDealJson(data.store, id)).toMatchObject({ customer: QUOTED.customer.name, deleted: true });
  await expect(openDealJson(data.store, id)).rejects.toMatchObject({ status: 410 });
  const none = "11111111-2222-4333-8444-555555555555";
  expect(await findDealJson(data.store, none)).toBeUndefined();
  await expect(openDealJson(data.store, none)).rejects.toMatchObject({ status: 404 });
});

test("inputs that break the schema of the deal file come in nowhere, nor does anything with them", async () => {
  const { options, ...rest } = QUOTED;
  const bad = options.map(option => ({
    ...option,
    id: randomUUID(),
    inputs: { ...option.inputs, find: "residual" } as never,
  }));
  const document = { ...rest, chosen: bad[0]?.id ?? "", options: bad };
  const refused = { ok: false, sentence: expect.stringMatching(/find is "?residual/) };
  expect(checkNewDealRequest({ document })).toMatchObject(refused);
  expect(checkSaveRequest({ version: 1, change: { options: bad } })).toMatchObject(refused);
  const kept = async () => (await data.store.dealsAfter(null, 1000)).records.length;
  const before = await kept();
  const [good, wrong] = [QUOTED, document].map(each => JSON.stringify(wholeDealOf(each)));
  const sentence = { status: 422, message: expect.stringMatching(/find is "?residual/) };
  await expect(importDeal(data.store, { fileName: "deal.json", text: wrong ?? "" })).rejects.toMatchObject(
    sentence,
  );
  await expect(bringInDeals(data.store, `${good}\n${wrong}\n`)).rejects.toMatchObject(sentence);
  expect(await kept()).toBe(before);
});
