// Files of many deals, and long lists of vehicles, as they come in and go out.
import { settleArrivals } from "@/server/arrivals";
import { arrivingDeals, cancelArriving, tellingArrival } from "@/server/deals-arriving";
import { allDeals, bringInDeals } from "@/server/deals-file";
import { loadDemo } from "@/server/demo";
import { Refusal } from "@/server/refusal";
import { numberedDeal } from "../data/numbered-deal";
import { testDatabase } from "../data/test-database";
import { named } from "../named";

const data = testDatabase();

beforeAll(async () => {
  await loadDemo(data.store);
  await data.store.setDeleted((await data.store.insertDeals([numberedDeal(3)]))[0] ?? "", true);
  const signing = { at: new Date("2027-01-08T09:00:00Z"), coreVersion: "2", isLate: false, quotes: [] };
  await data.store.insertDeals([{ ...numberedDeal(4), status: "signed", signing }]);
});

test("all deals are one text, each a deal file on a line, and come in again as they were", async () => {
  const text = await asText(allDeals(data.store));
  expect(text).not.toContain('"customer":"Customer 3"');
  const count = text.trimEnd().split("\n").length;
  expect(await bringInDeals(data.store, text, { ready: async deal => deal })).toEqual({ deals: count });
  const twice = (await asText(allDeals(data.store))).trimEnd().split("\n").sort();
  expect(twice).toEqual([...text.trimEnd().split("\n"), ...text.trimEnd().split("\n")].sort());
});

test("of a text with a line that is no deal nothing comes in, and the line is named", async () => {
  const before = await asText(allDeals(data.store));
  const [first = ""] = before.split("\n");
  for (const [text, sentence] of [
    [`${first}\n{"format":`, "Line 2: This is not JSON."],
    [
      `${first}\n\n${first.replace('"version":2', '"version":3')}`,
      "Line 3: version is 3; it must be 1 or 2.",
    ],
    [
      `${first.replace(/"customer":"[^"]*"/, '"customer":"\\ud83d"')}`,
      /Line 1: The text holds half of a character/,
    ],
    ["\n \n", "This file holds no deal."],
  ] as const) {
    await expect(bringInDeals(data.store, text)).rejects.toThrow(sentence);
  }
  expect(await asText(allDeals(data.store))).toBe(before);
});

test("a text that is left while its deals are kept leaves none of them, and one that is all kept stays", async () => {
  const before = await asText(allDeals(data.store));
  const line = before.split("\n")[0]?.replace(/"customer":"[^"]*"/, '"customer":"Left Behind"') ?? "";
  const text = `${line}\n`.repeat(120);
  const seen: string[] = [];
  const leavingAt = (step: string, done: number): Parameters<typeof bringInDeals>[2] => ({
    ready: async deal => deal,
    at: (now, count, of) => {
      seen.push(`${now} ${count} of ${of}`);
      if (now === step && count >= done) throw new Refusal(409, "left");
    },
  });
  for (const [step, done] of [
    ["reading", 60],
    ["keeping", 50],
    ["keeping", 120],
  ] as const)
    await expect(bringInDeals(data.store, text, leavingAt(step, done))).rejects.toThrow("left");
  expect(await asText(allDeals(data.store))).toBe(before);
  expect(await data.store.customersLike("Left Behind")).toEqual([]);
  expect(seen).toEqual(
    expect.arrayContaining(["reading 60 of null", "keeping 50 of 120", "keeping 120 of 120"]),
  );
});

test("who sent a file hears how far it is and may leave it, until all of it is kept", async () => {
  const { store } = data;
  const id = "99999999-0000-4000-8000-000000000007";
  await expect(arrivingDeals(store, id)).rejects.toThrow("No file is being brought in under this id.");
  await store.startArrival(id);
  const { at, end } = tellingArrival(store, id);
  await at("keeping", 50, 120);
  expect(await arrivingDeals(store, id)).toEqual({ step: "keeping", done: 50, of: 120 });
  await expect(bringInDeals(store, "{}", { arrival: id })).rejects.toThrow("under this id already");
  await cancelArriving(store, id);
  await expect(at("keeping", 120, 120)).rejects.toThrow("was cancelled; none of its deals was kept");
  await store.dropCutOff(20, id);
  await expect(cancelArriving(store, id)).rejects.toThrow("No file is being brought in under this id.");
  await expect(at("keeping", 120, 120)).rejects.toThrow("was cut off; bring it in again");
  await store.startArrival(id);
  await store.completeArrival(id, 0);
  await expect(cancelArriving(store, id)).rejects.toThrow("All deals of this file are kept already.");
  await settleArrivals(store);
  end();
});

test("a text of ends of lines alone is looked through while others are served", async () => {
  let turns = 0;
  const timer = setInterval(() => {
    turns += 1;
  }, 1);
  await expect(bringInDeals(data.store, "\n".repeat(30_000_000))).rejects.toThrow("This file holds no deal.");
  clearInterval(timer);
  expect(turns).toBeGreaterThan(20);
});

test("vehicles that had arrived when the server stopped come into stock, the later of two of one description", async () => {
  const vehicle = (k: number, priceMinor: number) => ({
    description: `Ostrel Arriving trailer, stock ${k}`,
    priceMinor,
    listPriceMinor: null,
    currency: "USD",
  });
  const { store } = data;
  await settleArrivals(store);
  await store.stockArrives(Array.from({ length: 250 }, (_, k) => vehicle(k, 100 + k)));
  expect(await store.putInStock(200)).toBe(200);
  await store.stockArrives([vehicle(249, 77)]);
  expect(await store.stockOf([vehicle(249, 0)])).toEqual([]);
  await settleArrivals(store);
  expect((await store.stockList()).filter(each => each.description.includes("Arriving"))).toHaveLength(250);
  expect(await store.stockOf([vehicle(3, 0), vehicle(249, 0)])).toEqual(
    expect.arrayContaining([
      expect.objectContaining(vehicle(3, 103)),
      expect.objectContaining(vehicle(249, 77)),
    ]),
  );
});

test("what a stop has cut off is settled: deals that were all there are shown, others go with their names", async () => {
  const { store } = data;
  const customers = async () => (await asText(allDeals(store))).match(/Arrived \d/g) ?? [];
  const arriving = (k: number, arrival: string) => ({
    ...numberedDeal(k),
    customer: named(`Arrived ${k}`),
    arrival,
  });
  const [complete, cutOff] = ["99999999-0000-4000-8000-000000000002", "99999999-0000-4000-8000-000000000003"];
  await store.startArrival(complete);
  await store.insertDeals([arriving(1, complete), arriving(2, complete)]);
  await store.completeArrival(complete, 2);
  await store.insertDeals([arriving(3, cutOff)]);
  expect(await customers()).toEqual([]);
  await settleArrivals(store);
  expect((await customers()).sort()).toEqual(["Arrived 1", "Arrived 2"]);
  expect((await store.customersLike("Arrived")).map(({ name }) => name)).toEqual(["Arrived 1", "Arrived 2"]);
  expect(await store.completeArrival(cutOff, 1)).toBe(false);
});

async function asText(pieces: AsyncIterable<string>): Promise<string> {
  let text = "";
  for await (const piece of pieces) text += piece;
  return text;
}
