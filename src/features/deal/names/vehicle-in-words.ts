import { wholeText } from "@/core";
import { inNotation, type Notation } from "@/exchange/notation";
import type { VehicleFacts } from "@/exchange/stock/stock.schema";

type Facts = Pick<VehicleFacts, "stockNumber" | "condition" | "modelYear" | "distance" | "distanceUnit">;

/** What is known of a vehicle, in words: "no. 1187", "2024", "used", "31,200 km". */
export function vehicleInWords(
  { stockNumber, condition, modelYear, distance, distanceUnit }: Facts,
  notation: Notation,
): string[] {
  return [
    stockNumber === null ? "" : `no. ${stockNumber}`,
    modelYear === null ? "" : String(modelYear),
    condition ?? "",
    distance === null ? "" : `${inNotation(wholeText(distance), notation)} ${distanceUnit ?? "km"}`,
  ].filter(Boolean);
}
