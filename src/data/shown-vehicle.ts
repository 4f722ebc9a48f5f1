import type { VehicleFacts, VehicleFile } from "@/exchange/stock/stock.schema";
import { vehicles } from "./schema";

/** A vehicle in stock as it is kept. */
export type KeptVehicle = Omit<VehicleFile, "id" | "costMinor" | "invoiceMinor" | keyof VehicleFacts> &
  VehicleFacts & { id: string; version: number };

/** What is shown of a vehicle; of its facts, those that customers may see. */
export const SHOWN = {
  id: vehicles.id,
  description: vehicles.description,
  priceMinor: vehicles.priceMinor,
  listPriceMinor: vehicles.listPriceMinor,
  currency: vehicles.currency,
  stockNumber: vehicles.stockNumber,
  kind: vehicles.kind,
  condition: vehicles.condition,
  modelYear: vehicles.modelYear,
  distance: vehicles.distance,
  distanceUnit: vehicles.distanceUnit,
  identification: vehicles.identification,
  bookValueMinor: vehicles.bookValueMinor,
  bookGuide: vehicles.bookGuide,
  bookDate: vehicles.bookDate,
  version: vehicles.version,
};
