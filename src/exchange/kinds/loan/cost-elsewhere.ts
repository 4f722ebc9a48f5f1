import type { LoanQuote } from "@/core";
import type { Block } from "../../paper-parts/paper";
import { capital } from "../../text";
import { estimateOf, notOnPaper } from "../kind/cost-blocks";
import type { CostAsked } from "../kind/paper-kind";
import { besides, chargesOf, scheduleOf } from "./cost-parts";

/** What the yearly rate of all costs is called at a place, and its decimals there. */
const EFFECTIVE: Record<string, readonly [name: string, decimals: number]> = {
  GB: ["APR", 1],
  DE: ["Annual percentage rate of charge", 2],
};

/** In general terms: the credit, its instalments, its rates, each cost, and what paying early costs. */
export function elsewhere(quote: LoanQuote, effectiveRate: number, asked: CostAsked): Block[] {
  const { write, creditor, about, place, standing, optional } = asked;
  const { money, say } = write;
  const { loanAmount, yearlyRate, totalInterest, totalOfPayments, filled } = quote;
  const [name, decimals] = EFFECTIVE[place ?? ""] ?? ["Effective yearly rate", 2];
  const costs = chargesOf(quote).filter(({ charge, amount }) => charge.isFinanceCharge && amount > 0);
  const atSigning = costs.reduce(
    (sum, { charge, amount }) => sum + (charge.paid === "atSigning" ? amount : 0),
    0,
  );
  const isFlat = quote.kind === "flatRate";
  const hasFee = (filled.plan.earlyFee ?? []).length > 0;
  return [
    estimateOf(creditor, "credit"),
    ...(about ? [{ kind: "paragraph", spans: [about] } as const] : []),
    {
      kind: "group",
      name: "What the credit costs",
      blocks: [
        {
          kind: "boxes",
          figures: [
            { name: "Amount of credit", text: money(loanAmount), says: "What is lent to you." },
            {
              name: "Total amount payable",
              text: money(totalOfPayments + atSigning),
              says: "All instalments, with every cost of the credit.",
            },
            {
              name,
              text: say(`${effectiveRate.toFixed(decimals)} %`),
              says: "What the credit costs a year, all costs counted.",
              isLarge: true,
            },
          ],
        },
        {
          kind: "facts",
          facts: [
            ["Creditor", creditor || "not named"],
            ["Borrowing rate", say(`${yearlyRate} % a year${isFlat ? ", flat" : ""}`)],
            ["Interest in all", money(totalInterest)],
            ...costs.map(({ charge, amount }) => [capital(charge.name), money(amount)] as const),
          ],
        },
        scheduleOf(quote, asked),
        {
          kind: "facts",
          facts: [
            [
              "Repaying early",
              [
                isFlat
                  ? "The part of the charge that is not earned yet is taken off."
                  : "Interest is owed up to the day of repayment.",
                hasFee ? "A charge for repaying early may fall due." : "Repaying early costs nothing more.",
                standing.prepayment ?? "",
              ]
                .filter(Boolean)
                .join(" "),
            ],
            ...(standing.latePayment ? [["Late payment", standing.latePayment] as const] : []),
            ...(standing.security ? [["Security", standing.security] as const] : []),
            ...optional,
            ...(standing.contract ? [["Contract", standing.contract] as const] : []),
          ],
        },
      ],
    },
    ...besides(quote, asked),
    ...notOnPaper([
      ...(standing.latePayment ? [] : ["late payment"]),
      ...(standing.security ? [] : ["security"]),
    ]),
  ];
}
