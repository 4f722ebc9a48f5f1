import type { LoanQuote } from "../kinds/loan/quote";
import type { Charge } from "../structure";

/** An amount with whom or what it is for, in minor units; taken off where it is below zero. */
export type ItemizedLine = { name: string; amount: number };

/** Where the amount financed goes. */
export type Itemization = {
  /** What the customer is given. */
  toCustomer: readonly ItemizedLine[];
  /** What is credited on the sale. */
  onAccount: readonly ItemizedLine[];
  /** What goes to others on the customer's behalf, each named. */
  toOthers: readonly ItemizedLine[];
  /** What of the finance charge is paid at the start. */
  prepaid: readonly ItemizedLine[];
  /** The first three, less what of the prepaid charge is not financed. */
  amountFinanced: number;
};

/**
 * The itemization of the amount financed: what the customer is given, what is credited on the sale, what goes to others, and the
 * prepaid finance charge (12 CFR 1026.18(c)).
 *
 * What of the prepaid charge is financed is lent and taken off again, and so in none of the first three; what of it is paid in
 * cash lowers what is credited, or given.
 *
 * @param quote an answered loan
 * @returns lines in minor units; those of the first three add up to the amount financed
 * @example itemization(quote).toOthers[0].amount // 185000
 */
export function itemization(quote: LoanQuote): Itemization {
  const { filled, lines, amountFinanced } = quote;
  const { personal } = filled.structure;
  const charges = chargesOfQuote(quote);
  const named = (counts: (charge: Charge) => boolean) =>
    charges
      .filter(({ charge, amount }) => amount !== 0 && counts(charge))
      .map(({ charge, amount }) => ({ name: charge.name, amount }));
  const of = (figure: string) =>
    lines.filter(line => line.figure === figure).map(({ name, amount }) => ({ name, amount }));
  const sum = (each: readonly ItemizedLine[]) => each.reduce((all, { amount }) => all + amount, 0);
  const deficit = Math.max(sum(of("owed")) - sum(of("allowance")), 0);
  const prepaid = named(charge => charge.isFinanceCharge && isAtStart(charge));
  const toOthers = [
    ...of("tax"),
    ...named(charge => !charge.isFinanceCharge && (charge.paid === "financed" || charge.paid === "keptBack")),
    ...(deficit > 0 ? [{ name: "what is owed on the trade-in beyond its allowance", amount: deficit }] : []),
    ...(personal?.payoffs ?? []).map(({ name, amount }) => ({ name, amount })),
  ].filter(({ amount }) => amount !== 0);
  const rest = amountFinanced - sum(toOthers);
  const left = [{ name: personal ? "paid to you" : "the price, less the down payment", amount: rest }];
  return {
    toCustomer: personal ? left : [],
    onAccount: personal ? [] : left,
    toOthers,
    prepaid,
    amountFinanced,
  };
}

const isAtStart = ({ paid }: Charge) => paid === "financed" || paid === "atSigning" || paid === "keptBack";

function chargesOfQuote({ filled: { structure }, reckoned }: LoanQuote) {
  return (["fees", "extras"] as const).flatMap(list =>
    (structure[list] ?? []).map((charge, index) => ({ charge, amount: reckoned[list][index] ?? 0 })),
  );
}
