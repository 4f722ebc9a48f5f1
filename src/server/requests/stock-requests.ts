import { currencyDecimals, parseIsoDate } from "@/core";
import { type Checked, checked } from "@/exchange/checks";
import type { VehicleFile } from "@/exchange/stock/stock.schema";
import { vehicle, vehicles } from "./compiled";

export const checkVehicle = (value: unknown): Checked<VehicleFile> =>
  ofKnownWords(checked<VehicleFile>(vehicle, value), one => [one]);

export const checkVehicles = (value: unknown): Checked<{ vehicles: VehicleFile[] }> =>
  ofKnownWords(checked<{ vehicles: VehicleFile[] }>(vehicles, value), request => request.vehicles);

function ofKnownWords<Value>(
  request: Checked<Value>,
  all: (value: Value) => readonly VehicleFile[],
): Checked<Value> {
  if (!request.ok) return request;
  for (const { currency, bookDate } of all(request.value)) {
    if (currencyDecimals(currency) === undefined)
      return {
        ok: false,
        sentence: `The currency ${currency} is not known; give a code of ISO 4217 such as USD.`,
      };
    if (bookDate != null && parseIsoDate(bookDate) === undefined)
      return { ok: false, sentence: `bookDate is ${bookDate}; there is no such day.` };
  }
  return request;
}
