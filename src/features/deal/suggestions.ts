// What can be picked for a name, and what a vehicle in stock brings along.
import type { Dispatch } from "react";
import type { DealFile } from "@/exchange/deal-file";
import { amountIn, type Notation } from "@/exchange/notation";
import { api } from "@/features/api/api";
import type { StockVehicle } from "@/server/contract";
import type { DeskAction } from "./desk/desk-state";
import { stockFigures } from "./desk/stock-figures";
import type { Suggestion } from "./NameField";

export async function suggestCustomers(text: string): Promise<Suggestion<string>[]> {
  const answer = await api.customersLike(text);
  return answer.kind === "done" ? answer.value.customers.map(name => ({ value: name, of: name })) : [];
}

export async function suggestVehicles(text: string, notation: Notation): Promise<Suggestion<StockVehicle>[]> {
  const answer = await api.vehiclesLike(text);
  if (answer.kind !== "done") return [];
  return answer.value.vehicles.map(vehicle => {
    const { description, priceMinor, currency } = vehicle;
    const remark = priceMinor === null ? undefined : amountIn(priceMinor, currency, notation);
    return { value: description, remark, of: vehicle };
  });
}

/** Types a vehicle's figures where none are typed yet; whether it has others, which can be offered. */
export function bringPrices(
  vehicle: StockVehicle,
  inputs: DealFile,
  notation: Notation,
  dispatch: Dispatch<DeskAction>,
): boolean {
  const figures = stockFigures(inputs, vehicle);
  for (const { field, minor } of figures.filter(({ isOpen }) => isOpen)) {
    const text = amountIn(minor, vehicle.currency, notation);
    dispatch({ type: "option", action: { type: "typed", field, text } });
    dispatch({ type: "option", action: { type: "left", field } });
  }
  return figures.some(({ isOpen }) => !isOpen);
}
