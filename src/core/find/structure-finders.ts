import { LARGEST_AMOUNT } from "../limits";
import type { Structure, TradeIn } from "../structure";
import type { Finder } from "./finder";

/** Any amount that a currency has, in minor units. */
export const anyAmount = (_: unknown, decimals: number) => ({
  low: 0,
  high: LARGEST_AMOUNT * 10 ** decimals,
});

type Structured = { structure: Structure };

/** How the figures of the structure are filled in that deals of every kind can look for. */
export const fillStructure = {
  price: <Deal extends Structured>(deal: Deal, price: number): Deal => ({
    ...deal,
    structure: { ...deal.structure, price },
  }),
  down: <Deal extends Structured>(deal: Deal, amount: number): Deal => ({
    ...deal,
    structure: { ...deal.structure, down: { amount } },
  }),
  /** The allowance that is missing; where none is, that of the first trade-in. */
  allowance: <Deal extends Structured>(deal: Deal, allowance: number): Deal => ({
    ...deal,
    structure: { ...deal.structure, tradeIns: withAllowance(deal.structure.tradeIns, allowance) },
  }),
} satisfies Record<string, Finder<Structured>["fill"]>;

function withAllowance(tradeIns: readonly TradeIn[], allowance: number): TradeIn[] {
  const open = Math.max(
    tradeIns.findIndex(each => each.allowance === null),
    0,
  );
  const given = tradeIns.length === 0 ? [{ allowance: null, owed: 0 }] : tradeIns;
  return given.map((each, index) => (index === open ? { ...each, allowance } : each));
}
