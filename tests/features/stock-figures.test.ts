import type { LoanFile } from "@/exchange/kinds/loan";
import { stockFigures } from "@/features/deal/desk/stock-figures";
import type { StockVehicle } from "@/server/contract";

const vehicle: StockVehicle = {
  description: "Larkmoor 240 campervan, stock 1204",
  priceMinor: 4_320_000,
  listPriceMinor: 4_500_000,
  currency: "USD",
  inStock: true,
} as StockVehicle;
const deal = (structure: LoanFile["structure"], change: Partial<LoanFile> = {}): LoanFile => ({
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure,
  plan: { kind: "loan", frequency: "monthly" },
  find: "payment",
  ...change,
});

test("a vehicle's price is offered where the deal has another one, and open where it has none", () => {
  expect(stockFigures(deal({}), vehicle)).toMatchObject([{ field: "price", minor: 4_320_000, isOpen: true }]);
  expect(stockFigures(deal({ price: "39900.00" }), vehicle)).toMatchObject([
    { minor: 4_320_000, isOpen: false },
  ]);
  expect(stockFigures(deal({ price: "43200" }), vehicle)).toEqual([]);
});

test("nothing is offered of a price that is found, of another currency, or of a vehicle that is gone", () => {
  expect(stockFigures(deal({}, { find: "price" }), vehicle)).toEqual([]);
  expect(stockFigures(deal({}, { currency: "EUR" }), vehicle)).toEqual([]);
  expect(stockFigures(deal({}), { ...vehicle, inStock: false })).toEqual([]);
});

test("a lease is offered the list price, too", () => {
  const lease = { ...deal({ price: "43200" }), plan: { kind: "lease", frequency: "monthly" } };
  expect(stockFigures(lease as never, vehicle)).toMatchObject([
    { field: "lease/listPrice", minor: 4_500_000, isOpen: true },
  ]);
});
