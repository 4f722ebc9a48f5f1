import type { DealDocument, Named } from "@/exchange/deal-document";
import type { LoanFile } from "@/exchange/kinds/loan";
import { named } from "../named";
import { testDatabase } from "./test-database";

const open = testDatabase();

const ONE = "11111111-1111-4111-8111-111111111111";
const inputs: LoanFile = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "30000.00" },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72 },
  find: "payment",
};
const dealOf = (customer?: Named, vehicle?: Named): DealDocument => ({
  ...(customer && { customer }),
  ...(vehicle && { vehicle }),
  status: "quoting",
  chosen: ONE,
  options: [{ id: ONE, name: "", inputs }],
});
const SIGNING = { at: new Date(), coreVersion: "0", isLate: false, quotes: [] };

async function keep(document: DealDocument, beside: object = {}): Promise<string> {
  const [id = ""] = await open.store.insertDeals([{ ...document, ...beside }]);
  return id;
}
const kept = async (id: string) => {
  const deal = await open.store.getDeal(id);
  if (!deal) throw new Error("There is no such deal.");
  return deal;
};
const customerOf = async (id: string) => (await kept(id)).document.customer;
const vehicleOf = async (id: string) => (await kept(id)).document.vehicle;
/** Saves another customer, or another vehicle, over what is kept. */
async function name(id: string, change: Pick<DealDocument, "customer" | "vehicle">) {
  const { document, version } = await kept(id);
  const { chosen: _c, options: _o, ...heading } = document;
  return open.store.updateDeal(id, version, { heading: { ...heading, ...change } }, { brief: true });
}
const lineOf = async (id: string) => {
  const { lines } = await open.store.findLines({
    search: "",
    sort: "changedAt",
    descending: true,
    skip: 0,
    most: 100,
  });
  return lines.find(line => line.id === id);
};
const other = (one: Named): Named => ({ ...named(`another ${one.name}`), name: one.name });

test("two of one name stay two, and are told apart by what they last bought", async () => {
  const dana = named("Dana Quillfeather");
  await keep(dealOf(dana, named("A piano")));
  await keep(dealOf(other(dana), named("Kitchen refit")));
  const known = await open.store.customersLike("dana quill");
  expect(known.map(each => each.name)).toEqual([dana.name, dana.name]);
  expect(new Set(known.map(({ id }) => id))).toEqual(new Set([dana.id, other(dana).id]));
  expect(Object.fromEntries(known.map(({ id, last }) => [id, last?.vehicle]))).toEqual({
    [dana.id]: "A piano",
    [other(dana).id]: "Kitchen refit",
  });
});

test("no save changes what another deal says: of a customer of two deals one gets a record of its own", async () => {
  const ida = named("Ida Farrow");
  const [first, second] = [await keep(dealOf(ida)), await keep(dealOf(ida))];
  const saved = await name(first, { customer: { ...ida, name: "Ida Farrow-Marsh" } });
  expect(await customerOf(second)).toEqual(ida);
  const own = await customerOf(first);
  expect(own).toEqual({ id: expect.not.stringMatching(ida.id), name: "Ida Farrow-Marsh" });
  // Whoever saved is told of it, though it asked for a brief answer.
  expect(saved).toMatchObject({ document: { customer: own } });
  // Of one deal alone, it is the same record under its new name.
  await name(first, { customer: { id: own?.id ?? "", name: "Ida Marsh" } });
  expect(await customerOf(first)).toEqual({ id: own?.id, name: "Ida Marsh" });
});

test("a corrected name is corrected in each deal that has it, is in their histories, and stays as signed in signed ones", async () => {
  const nerys = named("Nerys Holoway");
  const [open1, open2] = [await keep(dealOf(nerys)), await keep(dealOf(nerys))];
  const signed = await keep({ ...dealOf(nerys), status: "signed" }, { signing: SIGNING });
  expect(await open.store.recordOf("customer", nerys.id, open1)).toMatchObject({ ...nerys, deals: 2 });
  expect(await open.store.correctName("customer", nerys.id, "Somebody", "Nerys Holloway")).toBe("changed");
  expect(await open.store.correctName("customer", nerys.id, nerys.name, "Nerys Holloway")).toEqual({
    id: nerys.id,
    name: "Nerys Holloway",
  });
  for (const id of [open1, open2]) {
    expect(await kept(id)).toMatchObject({ version: 2, headingVersion: 2 });
    expect((await customerOf(id))?.name).toBe("Nerys Holloway");
    expect((await lineOf(id))?.customer).toBe("Nerys Holloway");
    const [change] = await open.store.changesOf(id);
    expect(change?.words).toBe("customer Nerys Holoway → Nerys Holloway");
  }
  expect(await kept(signed)).toMatchObject({ version: 1, document: { customer: nerys } });
  expect((await lineOf(signed))?.customer).toBe("Nerys Holoway");
  // Once it is reopened it is not what was signed any more.
  const { document, version } = await kept(signed);
  const { chosen: _c, options: _o, ...heading } = document;
  await open.store.updateDeal(
    signed,
    version,
    { heading: { ...heading, status: "quoting" } },
    { reopens: true },
  );
  expect((await customerOf(signed))?.name).toBe("Nerys Holloway");
  expect((await lineOf(signed))?.customer).toBe("Nerys Holloway");
});

test("two customers are made one: each deal of the one is the other's, and the one is no more", async () => {
  const [teo, double] = [named("Teo Lind"), other(named("Teo Lind"))];
  const [first, second] = [await keep(dealOf(teo)), await keep(dealOf(double))];
  const signed = await keep({ ...dealOf(double), status: "signed" }, { signing: SIGNING });
  expect(await open.store.makeOne("customer", teo.id, double.id)).toEqual(teo);
  expect(await Promise.all([first, second, signed].map(customerOf))).toEqual([teo, teo, teo]);
  expect((await open.store.customersLike("teo lind")).map(({ id }) => id)).toEqual([teo.id]);
  const [change] = await open.store.changesOf(second);
  expect(change?.words).toBe("customer Teo Lind → another Teo Lind");
  expect(await open.store.makeOne("customer", teo.id, double.id)).toBeUndefined();
  expect(await open.store.makeOne("customer", teo.id, teo.id)).toBeUndefined();
  // What the history leads back to is a customer again, of the deal's own.
  const before = await open.store.stateAfter(second, (await kept(second)).document, 1);
  expect(before?.customer).toEqual(double);
  await name(second, { customer: before?.customer as Named });
  expect(await customerOf(second)).toEqual(double);
});

const van = (stockNumber: string | null, rest: object = {}) => ({
  stockNumber,
  description: "Ostrel Quay van",
  priceMinor: 2_000_000,
  listPriceMinor: null,
  currency: "USD",
  ...rest,
});
async function putInStock(...vehicles: Parameters<typeof open.store.stockArrives>[0][number][]) {
  await open.store.stockArrives(vehicles);
  await open.store.putInStock(100);
  return open.store.stockOf(vehicles);
}

test("vehicles that are called the same are told apart by their numbers; a list finds them again by number, else by description", async () => {
  const [one, two] = await putInStock(
    van("Q-1", { costMinor: 1_700_000, modelYear: 2024 }),
    van("Q-2", { costMinor: 1_800_000 }),
  );
  expect(one?.id).not.toBe(two?.id);
  await putInStock(van("Q-2", { priceMinor: 1_900_000, description: "Ostrel Quay van, dented" }));
  const listed = async () =>
    (await open.store.stockList())
      .filter(({ description }) => description.startsWith("Ostrel Quay"))
      .map(({ id, stockNumber, description, priceMinor, modelYear }) => ({
        ...{ id, stockNumber, description, priceMinor, modelYear },
      }));
  expect(await listed()).toEqual([
    expect.objectContaining({ id: one?.id, stockNumber: "Q-1", priceMinor: 2_000_000, modelYear: 2024 }),
    expect.objectContaining({ id: two?.id, stockNumber: "Q-2", priceMinor: 1_900_000, modelYear: null }),
  ]);
  // A line without a number is the one that is called so; one that has none yet gets its number by its description.
  const { stockNumber: _, ...unnumbered } = van(null, { priceMinor: 2_100_000 });
  await putInStock(unnumbered);
  const [bus] = await putInStock({ ...unnumbered, description: "Ostrel Quay wagon" });
  await putInStock(van("Q-3", { description: "Ostrel Quay wagon" }));
  expect(await listed()).toEqual([
    expect.objectContaining({ id: one?.id, stockNumber: "Q-1", priceMinor: 2_100_000, modelYear: 2024 }),
    expect.objectContaining({ id: two?.id }),
    expect.objectContaining({ id: bus?.id, stockNumber: "Q-3" }),
  ]);
  // What a list says nothing of stays, also of what the dealer alone sees.
  expect((await open.store.stockCosts())[one?.id ?? ""]).toEqual({
    costMinor: 1_700_000,
    invoiceMinor: null,
  });
  expect(await open.store.changeVehicle(bus?.id ?? "", 2, van("Q-1"))).toBe("taken");
});

test("a list that names one number twice, or another vehicle's by an id, is kept, and none stays behind", async () => {
  const [first] = await putInStock(van("T-1", { description: "Twice" }));
  await putInStock(
    { ...van("T-2", { description: "Again" }), id: first?.id ?? "" },
    van("T-3", { description: "Last but one" }),
    van("T-3", { description: "Last" }),
  );
  const stock = (await open.store.stockList()).filter(({ stockNumber }) => stockNumber?.startsWith("T-"));
  expect(stock.map(({ stockNumber, description }) => [stockNumber, description])).toEqual([
    ["T-2", "Again"],
    ["T-3", "Last"],
  ]);
  expect(await open.store.putInStock(100)).toBe(0);
});

test("a vehicle is itself: what it is called now is what its deals say, and not what a signed one says", async () => {
  const [known] = await putInStock(van("S-1", { description: "Ostrel Sail van" }));
  const vehicle = { id: known?.id ?? "", name: "Ostrel Sail van" };
  const deal = await keep(dealOf(undefined, vehicle));
  const signed = await keep({ ...dealOf(undefined, vehicle), status: "signed" }, { signing: SIGNING });
  const changed = van("S-1", { description: "Ostrel Sail van, red" });
  expect(await open.store.changeVehicle(vehicle.id, known?.version ?? 0, changed)).toMatchObject({
    id: vehicle.id,
    description: "Ostrel Sail van, red",
  });
  expect(await vehicleOf(deal)).toEqual({ ...vehicle, name: "Ostrel Sail van, red" });
  expect((await lineOf(deal))?.vehicle).toBe("Ostrel Sail van, red");
  expect(await vehicleOf(signed)).toEqual(vehicle);
});

test("a deal of a file is about the vehicle whose number it names; an unknown one comes with its number", async () => {
  const [known] = await putInStock(van("F-1", { description: "Ostrel Ferry van", costMinor: 1_500_000 }));
  const text = named("Ferry van, as somebody called it");
  const deal = await keep(dealOf(undefined, text), { stockNumber: "F-1" });
  expect(await vehicleOf(deal)).toEqual({ id: known?.id, name: "Ostrel Ferry van" });
  expect((await lineOf(deal))?.vehicle).toBe("Ostrel Ferry van");
  expect((await open.store.getDealer(deal))?.dealer.options?.[ONE]?.cost).toBe("15000.00");
  const [first, second] = await open.store.insertDeals([
    { ...dealOf(undefined, named("Unknown one")), stockNumber: "F-9" },
    { ...dealOf(undefined, named("The same unknown one")), stockNumber: "F-9" },
  ]);
  expect(await vehicleOf(second ?? "")).toEqual(await vehicleOf(first ?? ""));
  expect(await open.store.stockNumbersOf([named("Unknown one").id])).toEqual(
    new Map([[named("Unknown one").id, "F-9"]]),
  );
  // What is signed says what was signed.
  const signed = await keep(
    { ...dealOf(undefined, text), status: "signed" },
    { stockNumber: "F-1", signing: SIGNING },
  );
  expect(await vehicleOf(signed)).toEqual({ id: known?.id, name: text.name });
  expect((await lineOf(signed))?.vehicle).toBe(text.name);
});

test("of two vehicles that are made one nothing that is known is lost", async () => {
  const [kept1, lost] = await putInStock(
    van("M-1", { description: "Ostrel Moor van", modelYear: 2023 }),
    van("M-2", { description: "Ostrel Moor van", modelYear: 2022, distance: 12_000, distanceUnit: "km" }),
  );
  const deal = await keep(dealOf(undefined, { id: lost?.id ?? "", name: "Ostrel Moor van" }));
  const costs = { options: { [ONE]: { cost: "17777.00" } } };
  await open.store.updateDealer(deal, 1, costs);
  await open.store.makeOne("vehicle", kept1?.id ?? "", lost?.id ?? "");
  expect((await vehicleOf(deal))?.id).toBe(kept1?.id);
  expect(await open.store.recordOf("vehicle", kept1?.id ?? "", null)).toMatchObject({
    deals: 1,
    vehicle: { stockNumber: "M-1", modelYear: 2023, distance: 12_000, distanceUnit: "km" },
  });
  expect((await open.store.getDealer(deal))?.dealer).toEqual(costs);
  // One that was only typed takes all of the other's, in its currency; one that has amounts takes none of another.
  const typed = named("Ostrel Moor van, typed");
  const other = await keep(dealOf(undefined, typed));
  const [priced] = await putInStock(van("M-3", { description: "Ostrel Moor van", currency: "EUR" }));
  await open.store.makeOne("vehicle", typed.id, priced?.id ?? "");
  const all = { stockNumber: "M-3", priceMinor: 2_000_000, listPriceMinor: null, currency: "EUR" };
  expect(await open.store.recordOf("vehicle", typed.id, null)).toMatchObject({ deals: 1, vehicle: all });
  const [dollars] = await putInStock(van(null, { description: "Ostrel Moor van", listPriceMinor: 7 }));
  await open.store.makeOne("vehicle", typed.id, dollars?.id ?? "");
  expect(await open.store.recordOf("vehicle", typed.id, null)).toMatchObject({ vehicle: all });
  expect((await vehicleOf(other))?.id).toBe(typed.id);
});

test("a vehicle that was sold is known when its deal is about it again, and gone once the stock has no use for it", async () => {
  const [sold] = await putInStock(van("U-1", { description: "Ostrel Undone van", modelYear: 2020 }));
  const vehicle = { id: sold?.id ?? "", name: "Ostrel Undone van" };
  const deal = await keep(dealOf(undefined, vehicle));
  await open.store.takeOutOfStock(vehicle.id, sold?.version ?? 0);
  await name(deal, { vehicle: named("Something else") });
  await name(deal, { vehicle });
  expect(await open.store.recordOf("vehicle", vehicle.id, null)).toMatchObject({
    vehicle: { stockNumber: "U-1", modelYear: 2020 },
  });
  const [mistaken] = await putInStock(van("U-2", { description: "Ostrel Mistaken van" }));
  await open.store.takeOutOfStock(mistaken?.id ?? "", mistaken?.version ?? 0);
  expect(await open.store.recordOf("vehicle", mistaken?.id ?? "", null)).toBeUndefined();
});

test("a deal is found by its vehicle's stock number, whichever way that came", async () => {
  const found = async (search: string) => {
    const asked = { search, sort: "changedAt", descending: true, skip: 0, most: 10 } as const;
    return (await open.store.findLines(asked)).lines.map(({ id }) => id);
  };
  const [seen] = await putInStock(van("W-Old", { description: "Ostrel Wanted van" }));
  const vehicle = { id: seen?.id ?? "", name: "Ostrel Wanted van" };
  const deal = await keep(dealOf(undefined, vehicle));
  expect(await found("w-old")).toEqual([deal]);
  await name(deal, { vehicle: named("Something else") });
  expect(await found("w-old")).toEqual([]);
  await name(deal, { vehicle });
  expect(await found("wanted w-old quoting")).toEqual([deal]);
  await open.store.changeVehicle(
    vehicle.id,
    seen?.version ?? 0,
    van("W-New", { description: "Ostrel Wanted van" }),
  );
  expect([await found("w-old"), await found("w-new")]).toEqual([[], [deal]]);
  // By a list that gives the number to one that had none, and by being made one with another.
  const [bare] = await putInStock(van(null, { description: "Ostrel Bare van" }));
  const other = await keep(dealOf(undefined, { id: bare?.id ?? "", name: "Ostrel Bare van" }));
  await putInStock(van("W-Bare", { description: "Ostrel Bare van" }));
  expect(await found("w-bare")).toEqual([other]);
  const own = named("Wanted as well");
  const typed = await keep(dealOf(undefined, own));
  await open.store.makeOne("vehicle", bare?.id ?? "", own.id);
  expect((await found("w-bare")).sort()).toEqual([other, typed].sort());
});
