// What deals earn, kept beside them: which are to be made, and which are listed.
import type { DealDocument, DealStatus } from "@/exchange/deal-document";
import { earnedFigures } from "@/exchange/income";
import type { LoanFile } from "@/exchange/kinds/loan";
import { incomeFrom } from "@/server/figures/income-of";
import { named } from "../named";
import { testDatabase } from "./test-database";

const open = testDatabase();
const ONE = "11111111-1111-4111-8111-111111111111";
const CORE = "core-of-the-test";

const inputs = {
  ...{ format: "kellux-deal", version: 1, currency: "USD", find: "payment" },
  structure: { price: "38425.00" },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72 },
} as LoanFile;

const deal = (status: DealStatus, customer: string): DealDocument => ({
  ...{ customer: named(customer), status, chosen: ONE },
  options: [{ id: ONE, name: "", inputs }],
});
const signing = (at: string) => ({
  signing: { at: new Date(at), coreVersion: CORE, isLate: false, quotes: [] },
});
const dealer = {
  options: { [ONE]: { cost: "36100.00", chargedBack: [{ on: "2026-12-02", amount: "10.00" }] } },
};

async function makeAll(): Promise<number> {
  const toMake = await open.store.incomeToMake(CORE, 50);
  const made = toMake.map(({ dealId, dealVersion, ...from }) => ({
    dealId,
    dealVersion,
    figures: incomeFrom(from),
  }));
  await open.store.keepIncome(made, CORE);
  return made.length;
}
const customers = async (asked: Parameters<typeof open.store.earningDeals>[0]) =>
  (await open.store.earningDeals(asked)).map(({ customer }) => customer);
const november = {
  signed: { from: new Date("2026-11-01T00:00:00Z"), until: new Date("2026-12-01T00:00:00Z") },
};

test("agreed and signed deals are made once, and again after each change; others are not", async () => {
  const ids = await open.store.insertDeals([
    deal("quoting", "Quoted Quince"),
    { ...deal("agreed", "Agreed Ames"), dealer },
    { ...deal("signed", "Early Eames"), ...signing("2026-11-01T00:00:00Z"), dealer },
    { ...deal("signed", "Late Lowe"), ...signing("2026-12-01T00:00:00Z") },
    { ...deal("signed", "Mid Marsh"), ...signing("2026-11-15T12:00:00Z"), dealer },
    deal("lost", "Lost Lane"),
  ]);
  expect(await open.store.isIncomeMissing(CORE)).toBe(true);
  expect(await makeAll()).toBe(4);
  expect(await open.store.isIncomeMissing(CORE)).toBe(false);
  expect(await open.store.isIncomeMissing("another core")).toBe(true);
  // The first moment of a month is of it, that of the next one is not.
  expect(await customers(november)).toEqual(["Early Eames", "Mid Marsh"]);
  expect(await customers("agreed")).toEqual(["Agreed Ames"]);
  expect((await customers("chargedBack")).sort()).toEqual(["Agreed Ames", "Early Eames", "Mid Marsh"]);
  expect(await customers("inTransit")).toEqual([]);
  const [agreed] = await open.store.earningDeals("agreed");
  expect(agreed?.figures).toEqual(earnedFigures(inputs, dealer.options[ONE] ?? {}, undefined));
  expect(agreed?.figures.front).toBe(2325_00);

  // A change of what the dealer knows makes it anew, also of a signed deal.
  const [, , early = ""] = ids;
  const sent = { lender: "Quillon Mutual", state: "approved" as const };
  const changed = { options: { [ONE]: { cost: "36000.00", lenderAnswers: [sent] } } };
  expect(await open.store.updateDealer(early, 1, changed)).toMatchObject({ version: 2 });
  expect(await makeAll()).toBe(1);
  expect(await customers("inTransit")).toEqual(["Early Eames"]);
  expect((await open.store.earningDeals(november)).map(({ figures }) => figures.front)).toEqual([
    2425_00, 2325_00,
  ]);
  // A deleted deal is in no list.
  const [, agreedId = ""] = ids;
  await open.store.setDeleted(agreedId, true, 1);
  expect(await customers("agreed")).toEqual([]);
});
