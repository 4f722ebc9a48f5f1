import { currencyDecimals, parseAmount } from "@/core";
import { type DealFile, isLease } from "@/exchange/deal-file";
import type { StockVehicle } from "@/server/contract";
import type { FieldName } from "../fields";

/** A price of a vehicle in stock that is not the deal's, in minor units; how it is called before its amount. */
type StockFigure = { field: FieldName; name: string; minor: number; isOpen: boolean };

/** What of a vehicle in stock a deal does not have: its asking price, and in a lease its list price. */
export function stockFigures(
  inputs: DealFile,
  { priceMinor, listPriceMinor, currency, inStock }: StockVehicle,
): StockFigure[] {
  if (!inStock || currency !== inputs.currency) return [];
  const { structure, find } = inputs;
  const decimals = currencyDecimals(currency) ?? 2;
  const figure = (
    field: FieldName,
    name: string,
    minor: number | null,
    typed: string | number | undefined,
  ): StockFigure[] => {
    const now = typed === undefined ? undefined : parseAmount(String(typed), decimals);
    return minor === null || minor === now ? [] : [{ field, name, minor, isOpen: typed === undefined }];
  };
  return [
    ...(find === "price" ? [] : figure("price", "", priceMinor, structure.price)),
    ...(isLease(inputs)
      ? figure("lease/listPrice", "list price ", listPriceMinor, inputs.structure.listPrice)
      : []),
  ];
}
