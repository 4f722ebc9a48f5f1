import { costOfCredit, type ItemizedLine, itemization, type LoanQuote, saleOnCredit } from "@/core";
import type { Block } from "../../paper-parts/paper";
import { capital } from "../../text";
import { estimateOf, notOnPaper } from "../kind/cost-blocks";
import type { CostAsked, PaperKind } from "../kind/paper-kind";
import { elsewhere } from "./cost-elsewhere";
import { besides, scheduleOf } from "./cost-parts";

/** What a loan costs, by the law of its place. */
export const costOfLoan: PaperKind<LoanQuote>["cost"] = (quote, asked) => {
  const rates = ratesOf(quote);
  if (!rates.ok) return rates;
  const blocks =
    asked.place === "US"
      ? unitedStates(quote, rates.apr, asked)
      : elsewhere(quote, rates.effectiveRate, asked);
  return { ok: true, title: "Cost of credit (estimate)", blocks };
};

/** The yearly rates as they were signed, or as they are worked out. */
function ratesOf(quote: LoanQuote) {
  if (quote.keptCost) return { ok: true, ...quote.keptCost } as const;
  const cost = costOfCredit(quote);
  return cost.ok
    ? ({ ok: true, ...cost.value } as const)
    : ({ ok: false, sentence: cost.failure.sentence } as const);
}

/** The items of 12 CFR 1026.18, grouped and apart from all else (1026.17(a)); the itemization on a page of its own. */
function unitedStates(quote: LoanQuote, apr: number, asked: CostAsked): Block[] {
  const { write, creditor, about } = asked;
  const { money, say } = write;
  const { financeCharge, amountFinanced, totalOfPayments, filled } = quote;
  const isSale = filled.structure.personal === undefined;
  const sale = saleOnCredit(quote, asked.conventions);
  const statements = statementsOf(quote, asked);
  return [
    estimateOf(creditor, "credit"),
    ...(about ? [{ kind: "paragraph", spans: [about] } as const] : []),
    {
      kind: "group",
      name: "Cost of the credit",
      blocks: [
        { kind: "facts", facts: [["Creditor", creditor || "not named"]] },
        {
          kind: "boxes",
          figures: [
            {
              name: "Annual percentage rate",
              text: say(`${apr.toFixed(2)} %`),
              says: "What your credit costs as a yearly rate.",
              isLarge: true,
            },
            {
              name: "Finance charge",
              text: money(financeCharge),
              says: "What your credit costs in money.",
              isLarge: true,
            },
            {
              name: "Amount financed",
              text: money(amountFinanced),
              says: "The credit that you are given, or that is given on your behalf.",
            },
            {
              name: "Total of payments",
              text: money(totalOfPayments),
              says: "What you will have paid after all payments as scheduled.",
            },
            ...(isSale
              ? [
                  {
                    name: "Total sale price",
                    text: money(sale.totalSalePrice),
                    says: `What your purchase on credit costs in all, with your down payment of ${money(sale.downPayment)}.`,
                  },
                ]
              : []),
          ],
        },
        scheduleOf(quote, asked),
        { kind: "facts", facts: statements.said },
      ],
    },
    ...besides(quote, asked),
    ...notOnPaper(statements.unsaid),
    { kind: "page" },
    ...itemized(quote, asked),
  ];
}

type Fact = readonly [name: string, text: string];

/** What is said in words, and what is not because the house has settled nothing. */
function statementsOf(
  quote: LoanQuote,
  { standing, optional }: CostAsked,
): { said: Fact[]; unsaid: string[] } {
  const { plan } = quote.filled;
  const isFlat = quote.kind === "flatRate";
  const hasFee = (plan.earlyFee ?? []).length > 0;
  const prepaid = itemization(quote).prepaid.length > 0;
  const early = [
    ...(!isFlat || hasFee
      ? [`If you pay off early, you ${hasFee ? "may" : "will not"} have to pay a penalty.`]
      : []),
    ...(isFlat
      ? ["If you pay off early, you may be entitled to a refund of part of the finance charge."]
      : []),
    ...(standing.prepayment ? [standing.prepayment] : []),
  ];
  const house = (
    [
      ["Late payment", standing.latePayment],
      ["Security interest", standing.security],
      ["Demand feature", standing.demand],
      ["Charges for the security interest", standing.securityCharges],
      ["Required deposit", standing.deposit],
    ] as const
  ).map(([name, text]) => [name, text ?? ""] as const);
  const always = new Set(["Late payment", "Security interest"]);
  return {
    said: [
      ["Prepayment", early.join(" ")],
      ...house.filter(([, text]) => text !== ""),
      ...optional,
      [
        "Contract",
        standing.contract ??
          "See the contract for what it says of nonpayment, default, the right to have the debt paid before its date, and of charges and refunds for paying early.",
      ],
    ],
    unsaid: [
      ...house.filter(([name, text]) => text === "" && always.has(name)).map(([name]) => name.toLowerCase()),
      ...(prepaid && !isFlat && !standing.prepayment
        ? ["whether part of the prepaid finance charge is given back where the loan is paid off early"]
        : []),
    ],
  };
}

/** 12 CFR 1026.18(c). */
function itemized(quote: LoanQuote, { amount }: CostAsked): Block[] {
  const { toCustomer, onAccount, toOthers, prepaid, amountFinanced } = itemization(quote);
  const part = (name: string, lines: readonly ItemizedLine[]) =>
    lines.length > 0
      ? [
          { kind: "group", cells: [name, ""] } as const,
          ...lines.map(line => ({ kind: "line", cells: [capital(line.name), amount(line.amount)] }) as const),
        ]
      : [];
  return [
    { kind: "heading", text: "Itemization of the amount financed (estimate)" },
    {
      kind: "table",
      name: "Itemization of the amount financed",
      headings: ["", "Amount"],
      words: 1,
      rows: [
        ...part("Paid to you", toCustomer),
        ...part("Credited on your purchase", onAccount),
        ...part("Paid to others for you", toOthers),
        { kind: "total", cells: ["Amount financed", amount(amountFinanced)] },
      ],
    },
    ...(prepaid.length > 0
      ? [
          {
            kind: "table",
            name: "Prepaid finance charge",
            headings: ["Prepaid finance charge, not in the amount financed", "Amount"],
            words: 1,
            rows: [
              ...prepaid.map(
                line => ({ kind: "line", cells: [capital(line.name), amount(line.amount)] }) as const,
              ),
              {
                kind: "total",
                cells: ["Together", amount(prepaid.reduce((sum, line) => sum + line.amount, 0))],
              },
            ],
          } as const,
        ]
      : []),
  ];
}
