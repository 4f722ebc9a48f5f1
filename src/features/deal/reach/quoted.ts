import { currencyDecimals, formatAmount } from "@/core";
import type { ReachTerm } from "@/core/reach";
import type { DealDocument } from "@/exchange/deal-document";
import { type DealInputs, isLeaseInputs } from "@/exchange/deal-file";
import type { KeptVehicle } from "@/server/contract";
import { factorOfRate } from "../fields/reckoning";
import { withInputsOf } from "../options/option-changes";

type Quoted = { vehicle: KeptVehicle; term: ReachTerm /** As it would be typed. */; price: string };

/** The deal about a vehicle of the stock, at its asking price over a term. */
export const quoted =
  (optionId: string, inputs: DealInputs, { vehicle, term, price }: Quoted) =>
  (document: DealDocument): DealDocument => ({
    ...withInputsOf(optionId, over(inputs, vehicle, term, price))(document),
    vehicle: vehicle.description,
  });

function over(inputs: DealInputs, vehicle: KeptVehicle, term: ReachTerm, price: string): DealInputs {
  const { payments, yearlyRate } = term;
  if (!isLeaseInputs(inputs)) {
    return {
      ...inputs,
      structure: { ...inputs.structure, price },
      plan: { ...inputs.plan, payments, yearlyRate },
    };
  }
  const { listPriceMinor, currency } = vehicle;
  const listPrice =
    listPriceMinor === null ? undefined : formatAmount(listPriceMinor, currencyDecimals(currency) ?? 2);
  const rate =
    inputs.plan.reckoning === "moneyFactor" ? { moneyFactor: factorOfRate(yearlyRate) } : { yearlyRate };
  return {
    ...inputs,
    structure: { ...inputs.structure, price, ...(listPrice !== undefined && { listPrice }) },
    plan: { ...inputs.plan, payments, ...rate },
  };
}
