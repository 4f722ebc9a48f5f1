import { periodsPerYear } from "../../calendar";
import type { LeaseDeal } from "../../kinds/lease";
import {
  otherTerms,
  type SlipOf,
  structureSlips,
  swappedAmounts,
  swappedDigits,
  type TaxedPart,
  taxSlips,
} from "../way";

type LeaseSlip = SlipOf<LeaseDeal>;

const withPlan = (change: Partial<LeaseDeal["plan"]>) => (deal: LeaseDeal) => ({
  ...deal,
  plan: { ...deal.plan, ...change },
});

/** What can have been done wrong in a lease. */
export function leaseSlips(deal: LeaseDeal, cash: number): LeaseSlip[] {
  const { structure, plan } = deal;
  const ofStructure = structureSlips(structure, cash).map(
    ({ slip, change }): LeaseSlip => ({
      slip,
      change: now => ({ ...now, structure: change(now.structure) }),
    }),
  );
  const isDigit = ({ slip }: LeaseSlip) => slip.slip === "digits";
  return [
    ...ofStructure.filter(slip => !isDigit(slip)),
    ...acquisitionSlips(deal),
    ...residualSlips(deal),
    ...otherTerms(plan.payments ?? 0, periodsPerYear(plan.frequency)).map(
      (slip): LeaseSlip => ({
        slip,
        change: withPlan({ payments: slip.slip === "payments" ? slip.to : Number(slip.to) }),
      }),
    ),
    ...leaseTaxSlips(deal),
    ...ofStructure.filter(isDigit),
    ...rateDigits(deal),
  ];
}

function acquisitionSlips({ plan: { acquisitionFee } }: LeaseDeal): LeaseSlip[] {
  if (!acquisitionFee || acquisitionFee.amount === 0) return [];
  const isFinanced = !acquisitionFee.isFinanced;
  return [
    {
      slip: { slip: isFinanced ? "chargeFinanced" : "chargeAtSigning", name: "acquisition fee" },
      change: withPlan({ acquisitionFee: { ...acquisitionFee, isFinanced } }),
    },
  ];
}

/** The percent of another base, and digits swapped. */
function residualSlips({ plan: { residual }, listPrice }: LeaseDeal): LeaseSlip[] {
  if (!residual) return [];
  if ("amount" in residual)
    return swappedAmounts(residual.amount).map(to => ({
      slip: { slip: "digits", figure: "residual", from: String(residual.amount), to: String(to) },
      change: withPlan({ residual: { amount: to } }),
    }));
  const of = residual.of === "price" ? "listPrice" : "price";
  const swapped = swappedDigits(residual.percent).map(
    (to): LeaseSlip => ({
      slip: { slip: "digits", figure: "residual", from: `${residual.percent} %`, to: `${to} %` },
      change: withPlan({ residual: { ...residual, percent: to } }),
    }),
  );
  if (of === "listPrice" && !listPrice) return swapped;
  return [
    { slip: { slip: "residualBase", of }, change: withPlan({ residual: { ...residual, of } }) },
    ...swapped,
  ];
}

function leaseTaxSlips({ plan, structure }: LeaseDeal): LeaseSlip[] {
  const parts: TaxedPart[] = ["payment", "sumOfPayments", "price", "reduction"];
  if (structure.fees?.length || plan.acquisitionFee) parts.push("fees");
  if (structure.extras?.length) parts.push("extras");
  return taxSlips(plan.taxes, {
    parts,
    hasTradeIns: structure.tradeIns.some(({ allowance }) => (allowance ?? 0) > 0),
    hasRebates: (structure.rebates ?? []).length > 0,
  }).map(({ slip, change }) => ({
    slip,
    change: now => ({ ...now, plan: { ...now.plan, taxes: change(now.plan.taxes) as typeof plan.taxes } }),
  }));
}

function rateDigits({ plan }: LeaseDeal): LeaseSlip[] {
  const figure = plan.reckoning === "moneyFactor" ? "moneyFactor" : "yearlyRate";
  const typed = plan[figure] ?? "";
  return swappedDigits(typed).map(to => ({
    slip: { slip: "digits", figure, from: typed, to },
    change: withPlan({ [figure]: to }),
  }));
}
