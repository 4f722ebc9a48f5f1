import { currencyDecimals, parseAmount } from "@/core";
import type { PlaceLimits } from "@/core/programs";
import type { Settings } from "./settings.schema";

/** The limits of the house's place as the core reckons with them; undefined where none is settled, or the deal's place is another. */
export function placeLimits(
  { limits, place: own }: Pick<Settings, "limits" | "place">,
  place: string | undefined,
  currency: string,
): PlaceLimits | undefined {
  if (!limits || (place !== undefined && place !== own)) return undefined;
  const { mostRate, mostTerm, mostPersonalApr, documentFee } = limits;
  const most = documentFee && parseAmount(String(documentFee.most), currencyDecimals(currency) ?? 2);
  return {
    ...(mostRate !== undefined && { mostRate: String(mostRate) }),
    ...(mostTerm !== undefined && { mostTerm }),
    ...(mostPersonalApr !== undefined && { mostPersonalApr: String(mostPersonalApr) }),
    ...(documentFee && most !== undefined && { documentFee: { name: documentFee.name, most } }),
  };
}
