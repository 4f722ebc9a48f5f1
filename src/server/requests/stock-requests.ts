import { currencyDecimals } from "@/core";
import { type Checked, checked } from "@/exchange/checks";
import type { VehicleFile } from "@/exchange/stock/stock.schema";
import { vehicle, vehicles } from "./compiled";

export const checkVehicle = (value: unknown): Checked<VehicleFile> =>
  ofKnownCurrency(checked<VehicleFile>(vehicle, value), one => [one]);

export const checkVehicles = (value: unknown): Checked<{ vehicles: VehicleFile[] }> =>
  ofKnownCurrency(checked<{ vehicles: VehicleFile[] }>(vehicles, value), request => request.vehicles);

function ofKnownCurrency<Value>(
  request: Checked<Value>,
  all: (value: Value) => readonly VehicleFile[],
): Checked<Value> {
  if (!request.ok) return request;
  const unknown = all(request.value).find(({ currency }) => currencyDecimals(currency) === undefined);
  return unknown
    ? {
        ok: false,
        sentence: `The currency ${unknown.currency} is not known; give a code of ISO 4217 such as USD.`,
      }
    : request;
}
