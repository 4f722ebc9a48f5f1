import { matchesSearch } from "@/features/register/search";
import type { RegisterRow } from "@/server/contract";

const ROW: RegisterRow = {
  id: "1",
  customer: "Zoë Vantongeren",
  vehicle: "Larkmoor 240 campervan, stock 1187",
  status: "quoting",
  changedAt: "2026-11-24T09:42:00Z",
  currency: "USD",
  payment: 68_397,
  paid: "monthly",
  amountFinanced: 4_070_000,
  problem: null,
};

test.each(["", "zoe", "VANTON camper", "1187", "quoting", "683.97", "40700", "40,700.00"])(
  "%j finds it",
  search => {
    expect(matchesSearch(ROW, search)).toBe(true);
  },
);

test.each(["signed", "zoe trailer", "no answer"])("%j does not", search => {
  expect(matchesSearch(ROW, search)).toBe(false);
});

test("deals without an answer can be found by that", () => {
  expect(matchesSearch({ ...ROW, payment: null, amountFinanced: null }, "no answer")).toBe(true);
});
