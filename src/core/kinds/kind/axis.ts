import type { AnyDeal } from "./any-deal";

/** The figures that a map can vary, in the order in which they are offered. */
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

/** A figure of a deal that can be at another place: minor units, a number of payments, or {@link RATE_UNITS} of a rate. */
export type Axis<Deal> = {
  /** Where a deal stands; null where it says nothing of it. */
  value(deal: Deal): number | null;
  /** The deal at another place. */
  at(deal: Deal, value: number): Deal;
  /** Whether a deal has it; all have where this is left out. */
  isOf?(deal: Deal): boolean;
};

/** The axes that a kind has. */
export type Axes<Deal> = { readonly [Name in MapAxis]?: Axis<Deal> };

/** So many of a rate's units make one percent: a rate on a map is a whole number of them. */
export const RATE_UNITS = 10_000;

/** A rate on a map as it would be typed: 64900 is "6.49". */
export function rateText(value: number): string {
  return (value / RATE_UNITS).toFixed(4).replace(/\.?0+$/, "");
}

/** The axes that deals of every kind have: those of the structure. */
export function structureAxes<Deal extends AnyDeal>(): Axes<Deal> {
  return {
    price: {
      value: ({ structure }) => structure.price,
      at: (deal, price) => ({ ...deal, structure: { ...deal.structure, price } }),
    },
    down: {
      value: ({ structure: { down } }) => (down && "amount" in down ? down.amount : null),
      at: (deal, amount) => ({ ...deal, structure: { ...deal.structure, down: { amount } } }),
    },
    allowance: {
      value: ({ structure }) => structure.tradeIns[0]?.allowance ?? 0,
      at: (deal, allowance) => {
        const [first, ...others] = deal.structure.tradeIns;
        const tradeIns = [{ ...(first ?? { owed: 0 }), allowance }, ...others];
        return { ...deal, structure: { ...deal.structure, tradeIns } };
      },
      isOf: ({ structure }) => structure.personal === undefined,
    },
  };
}
