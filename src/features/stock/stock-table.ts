import { currencyDecimals, parseIsoDate } from "@/core";
import { VEHICLE_COLUMNS, type VehicleColumn } from "@/exchange/stock/vehicle-columns";
import type { TableCell, TableFile } from "@/exchange/workbook/table.schema";
import { localToday } from "@/features/figures/today";
import type { KeptVehicle } from "@/server/contract";

/** Nothing that the dealer alone knows is in it, whether its side is open or not. */
const COLUMNS = VEHICLE_COLUMNS.filter(({ isOfDealer }) => !isOfDealer);

/** The stock as a table. */
export const stockTable = (stock: readonly KeptVehicle[], locale: string): TableFile => ({
  name: "Stock",
  day: localToday(),
  decimals: 2,
  locale,
  headings: ["Description", ...COLUMNS.map(({ label }) => label), "Currency"],
  rows: stock.map(vehicle => [
    vehicle.description,
    ...COLUMNS.map(column => cellOf(column, vehicle)),
    vehicle.currency,
  ]),
});

function cellOf({ fact, kind }: VehicleColumn, vehicle: KeptVehicle): TableCell {
  const value = (vehicle as Record<string, string | number | null | undefined>)[fact] ?? null;
  if (value === null) return null;
  if (kind === "amount")
    return { number: Number(value) / 10 ** (currencyDecimals(vehicle.currency) ?? 2), as: "amount" };
  if (kind === "date") return { number: parseIsoDate(String(value)) ?? 0, as: "date" };
  if (kind === "whole" || kind === "year") return { number: Number(value), as: "count" };
  return String(value);
}
