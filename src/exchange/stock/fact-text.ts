import { parseIsoDate, wholeText } from "@/core";
import { amountIn, dateIn, inNotation, type Notation } from "../notation";
import type { VehicleColumn } from "./vehicle-columns";

/** A fact of a vehicle as a place writes it, an amount without its currency; `readFact` reads it again. */
export function factText(
  { kind }: VehicleColumn,
  value: string | number,
  { currency, notation }: { currency: string; notation: Notation },
): string {
  if (kind === "amount") return amountIn(Number(value), currency, notation);
  if (kind === "whole") return inNotation(wholeText(Number(value)), notation);
  if (kind === "date") return dateIn(parseIsoDate(String(value)) ?? 0, notation);
  return String(value);
}
