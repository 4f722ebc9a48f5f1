import { periodsPerYear } from "../calendar";
import type { Deal } from "../kinds/loan/deal";
import { type Lease, PERCENT_OF_FACTOR } from "../kinds/lease";

/** The figures of a deal that a map can vary. */
export const MAP_AXES = [
  "price",
  "down",
  "allowance",
  "yearlyRate",
  "payments",
  "balloon",
  "residual",
] as const;

export type MapAxis = (typeof MAP_AXES)[number];

/** A deal of which a map is made: a loan or a lease that asks for its payment. */
export type Mapped = Deal | Lease;

/** So many of a rate's units make one percent: a rate on a map is a whole number of them. */
export const RATE_UNITS = 10_000;

const FACTOR_PLACES = 8;

export const isLease = (deal: Mapped): deal is Lease => deal.plan.kind === "lease";

/** The axes that a deal's map can have. */
export function axesOf(deal: Mapped): MapAxis[] {
  const isPersonal = deal.structure.personal !== undefined;
  const isListed = !isLease(deal) && deal.plan.datedPayments !== undefined;
  return MAP_AXES.filter(axis => {
    if (axis === "balloon") return !isLease(deal) && !isListed;
    if (axis === "residual") return isLease(deal);
    if (axis === "allowance") return !isPersonal;
    return axis !== "payments" || !isListed;
  });
}

/**
 * A deal with one figure at another place.
 *
 * @param axis which figure
 * @param value minor units, a number of payments, or ten-thousandths of a percent a year
 * @example atValue(deal, "payments", 60).plan.payments // 60
 */
export function atValue<Of extends Mapped>(deal: Of, axis: MapAxis, value: number): Of {
  return (isLease(deal) ? leaseAt(deal, axis, value) : loanAt(deal as Deal, axis, value)) as Of;
}

function loanAt(deal: Deal, axis: MapAxis, value: number): Deal {
  const { structure, plan } = deal;
  switch (axis) {
    case "yearlyRate":
      return { ...deal, plan: { ...plan, yearlyRate: rateText(value) } };
    case "payments":
      return { ...deal, plan: { ...plan, payments: value } };
    case "balloon": {
      const { balloon: _, ...rest } = plan;
      return { ...deal, plan: value === 0 ? rest : { ...rest, balloon: { amount: value } } };
    }
    case "residual":
      return deal;
    default:
      return { ...deal, structure: structureAt(structure, axis, value) };
  }
}

function leaseAt(lease: Lease, axis: MapAxis, value: number): Lease {
  const { structure, plan } = lease;
  switch (axis) {
    case "yearlyRate":
      return {
        ...lease,
        plan:
          plan.reckoning === "levelYield"
            ? { ...plan, yearlyRate: rateText(value) }
            : { ...plan, moneyFactor: factorText(value) },
      };
    case "payments":
      return { ...lease, plan: { ...plan, payments: value } };
    case "residual":
      return { ...lease, plan: { ...plan, residual: { amount: value } } };
    case "balloon":
      return lease;
    default:
      return { ...lease, structure: structureAt(structure, axis, value) };
  }
}

function structureAt(
  structure: Deal["structure"],
  axis: "price" | "down" | "allowance",
  value: number,
): Deal["structure"] {
  if (axis === "price") return { ...structure, price: value };
  if (axis === "down") return { ...structure, down: { amount: value } };
  const [first, ...others] = structure.tradeIns;
  return { ...structure, tradeIns: [{ ...(first ?? { owed: 0 }), allowance: value }, ...others] };
}

/** A rate on a map as it would be typed: 64900 is "6.49". */
export function rateText(value: number): string {
  return (value / RATE_UNITS).toFixed(4).replace(/\.?0+$/, "");
}

/** The money factor of a rate on a map, as it would be typed. */
export function factorText(value: number): string {
  return (value / RATE_UNITS / PERCENT_OF_FACTOR).toFixed(FACTOR_PLACES).replace(/\.?0+$/, "");
}

/** Where a deal stands on an axis, in its units; null where it says nothing of it. */
export function valueOn(deal: Mapped, axis: MapAxis): number | null {
  const { structure, plan } = deal;
  switch (axis) {
    case "price":
      return structure.price;
    case "down":
      return structure.down && "amount" in structure.down ? structure.down.amount : null;
    case "allowance":
      return structure.tradeIns[0]?.allowance ?? 0;
    case "payments":
      return plan.payments;
    case "yearlyRate":
      return rateOf(deal);
    case "balloon":
      return isLease(deal) ? null : balloonOf(deal);
    case "residual":
      return isLease(deal) && deal.plan.residual && "amount" in deal.plan.residual
        ? deal.plan.residual.amount
        : null;
  }
}

function balloonOf({ plan: { balloon } }: Deal): number | null {
  if (!balloon) return 0;
  return "amount" in balloon ? balloon.amount : null;
}

function rateOf(deal: Mapped): number | null {
  const { plan } = deal;
  if (plan.kind === "lease" && plan.reckoning === "moneyFactor") {
    return plan.moneyFactor === null
      ? null
      : Math.round(Number(plan.moneyFactor) * PERCENT_OF_FACTOR * RATE_UNITS);
  }
  return plan.yearlyRate === null ? null : Math.round(Number(plan.yearlyRate) * RATE_UNITS);
}

/** How many payments a year a deal has. */
export const perYearOf = ({ plan }: Mapped): number => periodsPerYear(plan.frequency);
