import type { LeaseQuote } from "@/core";
import { leaseChart } from "../../charts/chart-lines";
import type { PaperKind } from "../kind/paper-kind";
import { costOfLease } from "./cost-paper";
import { leaseLine } from "./words/line";
import { leaseSentence, leaseTerm } from "./words/sentence";

/** What of a lease stands on papers: no rate of any kind. */
export const LEASE_PAPERS: PaperKind<LeaseQuote> = {
  line: leaseLine,
  sentence: leaseSentence,
  compared: (quote, { money }) => [
    ["Payment", money(quote.payment)],
    ["Payments", String(quote.payments)],
    ["Due at signing", money(quote.dueAtSigning.total)],
    ["Rent charge", money(quote.rentCharge)],
    ["Total of payments", money(quote.totalOfPayments)],
    ["At the end", `hand it back, or ${money(quote.residual)}`],
  ],
  facts: (quote, { money }) => ({
    payment: money(quote.payment),
    payments: leaseTerm(quote),
    atSigning: money(quote.dueAtSigning.total),
    totalCost: money(quote.totalIfReturned),
    apr: null,
    atEnd: `nothing: hand it back, or buy it for ${money(quote.residual)}`,
  }),
  tally: ({ lines, cost }) => ({
    lines: lines.map(({ name, sign, amount }) => ({ name, sign: sign < 0 ? -1 : 1, amount })),
    name: "Adjusted capitalized cost",
    total: cost,
  }),
  assumptions: () => [
    "All payments are equal; the rent of the last one takes up the cents.",
    "What the vehicle stands for is paid down to its residual.",
  ],
  cost: costOfLease,
  measured: ({ totalOfPayments }) => totalOfPayments,
  chart: ({ schedule, cost }) => ({
    lines: leaseChart(schedule),
    start: cost,
    name: "what the vehicle still stands for",
  }),
};
