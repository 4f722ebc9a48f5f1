import { parseIsoDate, wholeText } from "@/core";
import { amountIn, dateIn, inNotation, type Notation } from "@/exchange/notation";
import { VEHICLE_COLUMNS, type VehicleColumn } from "@/exchange/stock/vehicle-columns";
import type { KeptVehicle } from "@/server/contract";

/** What is known of a vehicle, by name; what is not is left out. */
export function vehicleFacts(vehicle: KeptVehicle, notation: Notation): [name: string, fact: string][] {
  return VEHICLE_COLUMNS.flatMap(column => {
    const value = (vehicle as Record<string, unknown>)[column.fact] ?? null;
    if (value === null || column.fact === "distanceUnit") return [];
    const unit = column.fact === "distance" ? ` ${vehicle.distanceUnit ?? ""}` : "";
    return [[column.label, `${factText(column, value, vehicle.currency, notation)}${unit}`.trim()]];
  });
}

function factText({ kind }: VehicleColumn, value: unknown, currency: string, notation: Notation): string {
  if (kind === "amount") return `${amountIn(Number(value), currency, notation)} ${currency}`;
  if (kind === "whole") return inNotation(wholeText(Number(value)), notation);
  if (kind === "date") return dateIn(parseIsoDate(String(value)) ?? 0, notation);
  return String(value);
}
