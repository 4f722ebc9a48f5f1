import { STATED_AMOUNTS, type StatedAmount } from "@/core/match";
import type { Writer } from "../text";
import type { StatedFile } from "./match.schema";

/** What each of another's figures is called; of a lease some of them otherwise. */
const STATED_NAMES: Record<StatedAmount | "apr" | "balance" | "payoff", string> = {
  payment: "Payment",
  lastPayment: "Last payment",
  totalOfPayments: "Total of payments",
  financeCharge: "Finance charge",
  amountFinanced: "Amount financed",
  apr: "APR",
  balance: "Owed after a payment",
  payoff: "Payoff on a date",
};

const OF_LEASES: Partial<typeof STATED_NAMES> = {
  financeCharge: "Rent charge",
  amountFinanced: "Adjusted capitalized cost",
  apr: "Rate that the payments come to",
};

/** What one of another's figures is called. */
export const statedName = (name: keyof typeof STATED_NAMES, isLease: boolean): string =>
  (isLease && OF_LEASES[name]) || STATED_NAMES[name];

/**
 * What another says, in a phrase: as it was typed.
 *
 * @example statedWords({ payment: "445.16" }, fileWriter("USD")) // "payment 445.16"
 */
export function statedWords(stated: StatedFile, { date }: Pick<Writer, "date">): string {
  const { apr, balance, payoff, table } = stated;
  return [
    ...STATED_AMOUNTS.flatMap(name =>
      stated[name] === undefined ? [] : [`${STATED_NAMES[name].toLowerCase()} ${stated[name]}`],
    ),
    ...(apr === undefined ? [] : [`APR ${apr} %`]),
    ...(balance?.amount !== undefined ? [`${balance.amount} owed after payment ${balance.after}`] : []),
    ...(payoff?.amount !== undefined ? [`payoff ${payoff.amount} on ${date(payoff.on)}`] : []),
    ...(table ? [table.length === 1 ? "a table of 1 row" : `a table of ${table.length} rows`] : []),
  ].join(", ");
}
