import { currencyDecimals, formatAmount } from "@/core";
import type { ReachTerm } from "@/core/reach";
import type { DealDocument } from "@/exchange/deal-document";
import { type DealInputs, isLeaseInputs } from "@/exchange/deal-file";
import { factorText } from "@/exchange/text";
import type { KeptVehicle } from "@/server/contract";

type Quoted = { vehicle: KeptVehicle; term: ReachTerm /** As it would be typed. */; price: string };

const PERCENT_OF_FACTOR = 2400;

/** The deal about a vehicle of the stock, at its asking price over a term. */
export const quoted =
  (optionId: string, inputs: DealInputs, { vehicle, term, price }: Quoted) =>
  (document: DealDocument): DealDocument => ({
    ...document,
    vehicle: vehicle.description,
    options: document.options.map(option =>
      option.id === optionId ? { ...option, inputs: over(inputs, vehicle, term, price) } : option,
    ),
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
    inputs.plan.reckoning === "moneyFactor"
      ? { moneyFactor: factorText(Number((Number(yearlyRate) / PERCENT_OF_FACTOR).toFixed(8))) }
      : { yearlyRate };
  return {
    ...inputs,
    structure: { ...inputs.structure, price, ...(listPrice !== undefined && { listPrice }) },
    plan: { ...inputs.plan, payments, ...rate },
  };
}
