import type { VehicleFile } from "./stock.schema";
import { CONDITIONS, VEHICLE_KINDS } from "./vehicle-words";

/** What of a vehicle is kept, but for what it is called and its currency. */
export type VehicleFact = Exclude<keyof VehicleFile, "id" | "description" | "currency">;

/** One fact of vehicles: a column of a file, a field in Stock, a line where a vehicle is looked at. */
export type VehicleColumn = {
  fact: VehicleFact;
  label: string;
  /** What a column of it may be called in a file besides its label. */
  also?: readonly string[];
  /** How it is written. */
  kind: "line" | "whole" | "year" | "amount" | "date" | "choice";
  choices?: readonly string[];
  /** Whether customers never see it. */
  isOfDealer?: true;
};

/** Every fact of a vehicle, in the order of files and fields. */
export const VEHICLE_COLUMNS: readonly VehicleColumn[] = [
  { fact: "stockNumber", label: "Stock number", also: ["number", "no", "stock no"], kind: "line" },
  { fact: "priceMinor", label: "Asking price", also: ["price", "asking"], kind: "amount" },
  {
    fact: "costMinor",
    label: "Cost to the dealer",
    also: ["cost"],
    kind: "amount",
    isOfDealer: true,
  },
  { fact: "invoiceMinor", label: "Invoice", also: ["invoice price"], kind: "amount", isOfDealer: true },
  { fact: "listPriceMinor", label: "List price", also: ["list"], kind: "amount" },
  { fact: "kind", label: "Kind", kind: "choice", choices: VEHICLE_KINDS },
  { fact: "condition", label: "Condition", kind: "choice", choices: CONDITIONS },
  { fact: "modelYear", label: "Model year", also: ["year"], kind: "year" },
  { fact: "distance", label: "Distance", also: ["mileage", "odometer"], kind: "whole" },
  { fact: "distanceUnit", label: "Distance unit", also: ["unit"], kind: "choice", choices: ["km", "mi"] },
  { fact: "identification", label: "Identification", also: ["vin", "chassis number"], kind: "line" },
  { fact: "bookValueMinor", label: "Book value", kind: "amount" },
  { fact: "bookGuide", label: "Book guide", also: ["guide"], kind: "line" },
  { fact: "bookDate", label: "Book date", also: ["book value date"], kind: "date" },
];

/** One of those. */
export function vehicleColumn(fact: VehicleFact): VehicleColumn {
  const column = VEHICLE_COLUMNS.find(each => each.fact === fact);
  if (!column) throw new Error(`${fact} is no fact of a vehicle.`);
  return column;
}
