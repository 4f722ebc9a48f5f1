import { currencyDecimals, formatAmount } from "@/core";
import type { ReachTerm } from "@/core/reach";
import type { DealDocument } from "@/exchange/deal-document";
import { type DealInputs, isLeaseInputs } from "@/exchange/deal-file";
import type { KeptVehicle } from "@/server/contract";
import { overTerm } from "../desk/house-terms";
import { withInputsOf } from "../options/option-changes";

type Quoted = { vehicle: KeptVehicle; term: ReachTerm /** As it would be typed. */; price: string };

/** The deal about a vehicle of the stock, at its asking price over a term. */
export const quoted =
  (optionId: string, inputs: DealInputs, { vehicle, term, price }: Quoted) =>
  (document: DealDocument): DealDocument => ({
    ...withInputsOf(optionId, ofVehicle(inputs, vehicle, term, price))(document),
    vehicle: vehicle.description,
  });

function ofVehicle(inputs: DealInputs, vehicle: KeptVehicle, term: ReachTerm, price: string): DealInputs {
  const over = overTerm(inputs, term.payments, term.yearlyRate);
  const priced = { ...over, structure: { ...over.structure, price } } as DealInputs;
  if (!isLeaseInputs(priced)) return priced;
  const { listPriceMinor, currency } = vehicle;
  const listPrice =
    listPriceMinor === null ? undefined : formatAmount(listPriceMinor, currencyDecimals(currency) ?? 2);
  return { ...priced, structure: { ...priced.structure, ...(listPrice !== undefined && { listPrice }) } };
}
