import type { DayNumber, Frequency } from "../../calendar";
import type { Structure } from "../../structure";

/** What deals of every kind have: what was given, in minor units and day numbers, and which figure to find. */
export type AnyDeal = {
  /** ISO 4217 code. */
  currency: string;
  structure: Structure;
  plan: {
    kind: string;
    payments: number | null;
    frequency: Frequency;
    signed: DayNumber | null;
    payment: number | null;
  };
  find: string;
  /** What it is found from; the plan's payment where left out. */
  from?: { figure: string; value: number };
};

/**
 * An answered deal asked for its payment: the figure that it was asked for is given.
 *
 * @param filled a quote's filled deal
 * @example askingPayment(quote.filled).find // "payment"
 */
export function askingPayment<Of extends AnyDeal>(filled: Of): Of {
  const { from: _from, ...deal } = filled;
  return { ...deal, plan: { ...deal.plan, payment: null }, find: "payment" } as unknown as Of;
}

/**
 * A deal that asks for the price which a payment buys, whatever its own price was.
 *
 * @param payment minor units
 * @example evaluate(askingPrice(deal, 60_000)).value.price // 3685359
 */
export function askingPrice<Of extends AnyDeal>({ from: _from, ...deal }: Of, payment: number): Of {
  const structure = { ...deal.structure, price: null, down: deal.structure.down ?? { amount: 0 } };
  return { ...deal, structure, plan: { ...deal.plan, payment }, find: "price" } as unknown as Of;
}
