import type { Notation } from "@/exchange/notation";
import { factText } from "@/exchange/stock/fact-text";
import type { VehicleFile } from "@/exchange/stock/stock.schema";
import { VEHICLE_COLUMNS } from "@/exchange/stock/vehicle-columns";
import type { KeptVehicle } from "@/server/contract";

/** What is known of a vehicle, by name; what is not is left out. */
export function vehicleFacts(kept: KeptVehicle, notation: Notation): [name: string, fact: string][] {
  const { version: _, ...vehicle } = kept;
  const { currency, distanceUnit } = vehicle;
  const known: VehicleFile = vehicle;
  return VEHICLE_COLUMNS.flatMap(column => {
    const value = known[column.fact] ?? null;
    if (value === null || column.fact === "distanceUnit") return [];
    const unit = column.kind === "amount" ? currency : column.fact === "distance" ? distanceUnit : null;
    const text = factText(column, value, { currency, notation });
    return [[column.label, unit === null ? text : `${text} ${unit}`]];
  });
}
