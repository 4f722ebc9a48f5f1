import { DEMO_RATES } from "#demo/rates";
import type { Lender } from "@/exchange/rates/rates.schema";
import { testDatabase } from "./test-database";

const data = testDatabase();
const [QUILLON, SALTMARSH, BRAMBLEWICK] = DEMO_RATES as [Lender, Lender, Lender];

const names = async () => (await data.store.keptRates()).lenders.map(({ name }) => name);

test("lenders are kept in the order in which they came; one that comes again stays in its place with its new programs", async () => {
  const empty = await data.store.ratesMark();
  const first = await data.store.changeRates(empty, { put: [SALTMARSH, QUILLON], gone: [] });
  const changed = { name: "saltmarsh SAVINGS", programs: SALTMARSH.programs.slice(0, 1) };
  const second = await data.store.changeRates(first ?? "", { put: [changed, BRAMBLEWICK], gone: [] });
  expect(await data.store.keptRates()).toEqual({ lenders: [changed, QUILLON, BRAMBLEWICK], mark: second });
  expect(new Set([empty, first, second]).size).toBe(3);
});

test("a change in view of another state changes nothing", async () => {
  const before = await data.store.keptRates();
  expect(
    await data.store.changeRates("none", { put: [QUILLON], gone: ["Bramblewick Credit"] }),
  ).toBeUndefined();
  expect(await data.store.keptRates()).toEqual(before);
});

test("a lender that goes and comes back is another state: what was read before is not taken for it", async () => {
  const before = await data.store.keptRates();
  const without = await data.store.changeRates(before.mark, { put: [], gone: ["BRAMBLEWICK credit"] });
  expect(await names()).not.toContain("Bramblewick Credit");
  const back = await data.store.changeRates(without ?? "", { put: [BRAMBLEWICK], gone: [] });
  expect((await data.store.keptRates()).lenders).toEqual(before.lenders);
  expect(back).not.toBe(before.mark);
});
