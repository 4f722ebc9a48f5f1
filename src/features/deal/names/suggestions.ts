// What can be picked for a name, and what a vehicle in stock brings along.
import type { Dispatch } from "react";
import type { Named } from "@/exchange/deal-document";
import type { DealFile } from "@/exchange/deal-file";
import { amountIn, type Notation } from "@/exchange/notation";
import { api } from "@/features/api/api";
import { whenText } from "@/features/figures/when";
import type { KnownCustomer, StockVehicle } from "@/server/contract";
import type { DeskAction } from "../desk/desk-state";
import { stockFigures } from "../desk/stock-figures";
import type { Suggestion } from "./NameList";
import { vehicleInWords } from "./vehicle-in-words";

/** What is known, but for the one that the deal names already. */
const but = <Each extends { id: string }>(all: readonly Each[], present: Named | undefined) =>
  all.filter(({ id }) => id !== present?.id);

/** What tells a customer from others of the same name. */
const customerRemark = ({ last }: KnownCustomer, notation: Notation): string =>
  last ? [last.vehicle, whenText(last.at, notation).replace(/, [^,]*$/, "")].filter(Boolean).join(", ") : "";

export async function suggestCustomers(
  text: string,
  notation: Notation,
  present: Named | undefined,
): Promise<Suggestion<KnownCustomer>[]> {
  const answer = await api.customersLike(text);
  if (answer.kind !== "done") return [];
  return but(answer.value.customers, present).map(customer => ({
    id: customer.id,
    name: customer.name,
    remark: customerRemark(customer, notation),
    of: customer,
  }));
}

/** What tells a vehicle from others that are called the same. */
function vehicleRemark(vehicle: StockVehicle, notation: Notation): string {
  const { priceMinor, currency, inStock } = vehicle;
  const price = priceMinor === null || !inStock ? "" : amountIn(priceMinor, currency, notation);
  return [...vehicleInWords(vehicle, notation), price].filter(Boolean).join(" · ");
}

export async function suggestVehicles(
  text: string,
  notation: Notation,
  present: Named | undefined,
): Promise<Suggestion<StockVehicle>[]> {
  const answer = await api.vehiclesLike(text);
  if (answer.kind !== "done") return [];
  return but(answer.value.vehicles, present).map(vehicle => ({
    id: vehicle.id,
    name: vehicle.description,
    remark: vehicleRemark(vehicle, notation),
    of: vehicle,
  }));
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
