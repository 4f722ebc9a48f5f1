import { currencyDecimals, formatAmount } from "@/core";
import type { ReachTerm } from "@/core/reach";
import type { DealDocument } from "@/exchange/deal-document";
import { type DealFile, isLease } from "@/exchange/deal-file";
import type { KeptVehicle } from "@/server/contract";
import { withInputsOf } from "../options/option-changes";
import { overTerm } from "../options/usual-options";

type Quoted = { vehicle: KeptVehicle; term: ReachTerm /** As it would be typed. */; price: string };

/** The deal about a vehicle of the stock, at its asking price over a term. */
export const quoted =
  (optionId: string, inputs: DealFile, { vehicle, term, price }: Quoted) =>
  (document: DealDocument): DealDocument => ({
    ...withInputsOf(optionId, ofVehicle(inputs, vehicle, term, price))(document),
    vehicle: { id: vehicle.id, name: vehicle.description },
  });

function ofVehicle(inputs: DealFile, vehicle: KeptVehicle, term: ReachTerm, price: string): DealFile {
  const over = overTerm(inputs, term.payments, term.yearlyRate);
  const priced = { ...over, structure: { ...over.structure, price } } as DealFile;
  if (!isLease(priced)) return priced;
  const { listPriceMinor, currency } = vehicle;
  const listPrice =
    listPriceMinor === null ? undefined : formatAmount(listPriceMinor, currencyDecimals(currency) ?? 2);
  return { ...priced, structure: { ...priced.structure, ...(listPrice !== undefined && { listPrice }) } };
}
