import type { Tax } from "@/core";
import { fileReader } from "../reading";
import { readStructure } from "../structure";
import type { Settings } from "./settings.schema";

/** The taxes that the house has in every deal, for a purchase whose own are not known. */
export function usualTaxes(
  { taxProfiles = [] }: Pick<Settings, "taxProfiles">,
  currency: string,
): readonly Tax[] {
  const profile = taxProfiles.find(({ inEveryDeal }) => inEveryDeal);
  if (!profile) return [];
  return readStructure({ taxes: profile.taxes }, "payment", fileReader(currency)).taxes ?? [];
}
