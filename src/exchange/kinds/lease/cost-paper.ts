import { type LeaseQuote, periodsPerYear } from "@/core";
import type { Block, PaperRow } from "../../paper-parts/paper";
import { capital } from "../../text";
import { notOnPaper } from "../kind/cost-blocks";
import type { CostAsked, PaperKind } from "../kind/paper-kind";
import { distanceText, headOf, moneyOf, purchaseText } from "./cost-parts";

/** What a lease costs, by the law of its place; no rate of any kind. */
export const costOfLease: PaperKind<LeaseQuote>["cost"] = (quote, asked) => {
  const isInUnitedStates = asked.place === "US";
  if (isInUnitedStates && monthsOf(quote) <= SHORTEST_MONTHS)
    return {
      ok: false,
      sentence: "A lease of four months or less is no consumer lease; there is no such paper of it.",
    };
  return {
    ok: true,
    title: "Cost of the lease (estimate)",
    blocks: isInUnitedStates ? unitedStates(quote, asked) : elsewhere(quote, asked),
  };
};

/** A lease of four months and less is no consumer lease (12 CFR 1013.2(e)). */
const SHORTEST_MONTHS = 4;

const monthsOf = ({ filled, payments }: LeaseQuote) =>
  (payments * 12) / periodsPerYear(filled.plan.frequency);

/** 12 CFR 1013.4: (b) to (f), (g)(2), (h)(3), (i)(1) and (j) apart from all else and in this order (1013.3(a)(2)). */
function unitedStates(quote: LeaseQuote, asked: CostAsked): Block[] {
  const { standing } = asked;
  return [
    ...headOf(asked),
    {
      kind: "group",
      name: "Cost of the lease",
      blocks: [
        ...moneyOf(quote, asked),
        {
          kind: "boxes",
          figures: [
            {
              name: "Total of payments",
              text: asked.write.money(quote.totalOfPayments),
              says: "What you will have paid by the end of the lease.",
              isLarge: true,
            },
          ],
        },
        stepsToPayment(quote, asked),
        {
          kind: "facts",
          facts: [
            [
              "Early termination",
              "You may have to pay a substantial charge if you end this lease early. The charge may be up to several thousand dollars. The earlier the lease is ended, the greater it is likely to be.",
            ],
            ["Gross capitalized cost", "You may ask for a separate itemization of this amount."],
            ["Wear and use", distanceText(quote, asked)],
            ["Option to buy at the end", purchaseText(quote, asked)],
            [
              "Other terms",
              standing.contract ??
                "See the lease for what else it says of ending it early, buying, maintenance, warranties, late payment and insurance.",
            ],
          ],
        },
      ],
    },
    ...aside(quote, asked),
    { kind: "page" },
    ...itemized(quote, asked),
  ];
}

/** What the gross capitalized cost is made of (1013.4(f)(1)). */
function itemized({ lines, gross }: LeaseQuote, { amount }: CostAsked): Block[] {
  return [
    { kind: "heading", text: "Itemization of the gross capitalized cost (estimate)" },
    {
      kind: "table",
      name: "Itemization of the gross capitalized cost",
      headings: ["", "Amount"],
      words: 1,
      rows: [
        ...lines
          .filter(({ sign }) => sign > 0)
          .map((line): PaperRow => ({ kind: "line", cells: [capital(line.name), amount(line.amount)] })),
        { kind: "total", cells: ["Gross capitalized cost", amount(gross)] },
      ],
    },
  ];
}

/** How the payment is determined, step by step (1013.4(f)). */
function stepsToPayment(quote: LeaseQuote, { amount, write }: CostAsked): Block {
  const {
    gross,
    reduction,
    cost,
    residual,
    depreciation,
    rentCharge,
    payments,
    basePayment,
    payment,
    filled,
  } = quote;
  const isAtOnce = filled.plan.inAdvance === payments;
  const count = isAtOnce ? 1 : payments;
  const taxes = filled.plan.taxes
    .map(({ name }, index) => [name, quote.paymentTaxes[index] ?? 0] as const)
    .filter(([, each]) => each > 0);
  const line = (name: string, text: string): PaperRow => ({ kind: "line", cells: [name, text] });
  const sum = (name: string, text: string): PaperRow => ({ kind: "group", cells: [name, text] });
  return {
    kind: "table",
    name: "How the payment is determined",
    headings: ["How the payment is determined", "Amount"],
    words: 1,
    rows: [
      line(
        `Gross capitalized cost; the agreed upon value of the vehicle in it is ${write.money(quote.price)}`,
        amount(gross),
      ),
      line("Capitalized cost reduction", `− ${amount(reduction)}`),
      sum("Adjusted capitalized cost", amount(cost)),
      line("Residual value", `− ${amount(residual)}`),
      sum("Depreciation and any amortized amounts", amount(depreciation)),
      line("Rent charge", `+ ${amount(rentCharge)}`),
      sum("Total of base periodic payments", amount(depreciation + rentCharge)),
      line("Lease payments", `÷ ${count}`),
      sum("Base periodic payment", amount(basePayment)),
      ...taxes.map(([name, each]) => line(name, `+ ${amount(each)}`)),
      ...(quote.withPayments.each > 0
        ? [line("Fees with each payment", `+ ${amount(quote.withPayments.each)}`)]
        : []),
      { kind: "total", cells: ["Total periodic payment", amount(payment + quote.withPayments.each)] },
    ],
  };
}

/** What is said apart from the group (1013.4(g)(1), (h), (i)(2), (n)), and what is not. */
function aside(quote: LeaseQuote, { write, amount, standing }: CostAsked): Block[] {
  const { filled, taxes, paymentTaxes, payments } = quote;
  const { earlyFee, inAdvance } = filled.plan;
  const count = inAdvance === payments ? 1 : payments;
  const official = [
    ...taxes.map(({ name, amount: each }) => [name, each] as const),
    ...filled.plan.taxes.map(({ name }, index) => [name, (paymentTaxes[index] ?? 0) * count] as const),
  ].filter(([, each]) => each > 0);
  const fees = (filled.structure.fees ?? []).map(
    ({ name }, index) => [name, quote.fees[index] ?? 0] as const,
  );
  const sum = [...official, ...fees].reduce((all, [, each]) => all + each, 0);
  return [
    {
      kind: "facts",
      facts: [
        [
          "Ending it early",
          standing.earlyTermination ??
            `The charge is what the vehicle then still stands for in the lessor’s table${earlyFee > 0 ? ` and a fee of ${write.money(earlyFee)}` : ""}, less what the vehicle brings.`,
        ],
        [
          "Buying it before the end",
          standing.buyBefore ??
            "For what the vehicle then still stands for in the lessor’s table, with the fee for buying and the tax on both.",
        ],
      ],
    },
    ...(sum > 0
      ? [
          {
            kind: "table",
            name: "Fees and taxes over the lease",
            headings: ["Fees and taxes over the whole lease, whether in the payments or not", "Amount"],
            words: 1,
            rows: [
              ...[...official, ...fees].map(
                ([name, each]): PaperRow => ({ kind: "line", cells: [capital(name), amount(each)] }),
              ),
              { kind: "total", cells: ["Together", amount(sum)] },
            ],
          } as const,
        ]
      : []),
    ...notOnPaper([
      "insurance",
      "warranties",
      "late payment",
      ...(standing.security ? [] : ["security interest"]),
      ...(standing.wear ? [] : ["standards of wear"]),
    ]),
  ];
}

/** In general terms: what is due, the payments, other charges and the end. */
function elsewhere(quote: LeaseQuote, asked: CostAsked): Block[] {
  const { standing, write } = asked;
  return [
    ...headOf(asked),
    {
      kind: "group",
      name: "What the lease costs",
      blocks: [
        ...moneyOf(quote, asked),
        {
          kind: "boxes",
          figures: [
            {
              name: "Total of payments",
              text: write.money(quote.totalOfPayments),
              says: "What you will have paid if you hand the vehicle back.",
              isLarge: true,
            },
            {
              name: "Rent charge",
              text: write.money(quote.rentCharge),
              says: "What of the payments is for the use of the lessor’s money.",
            },
          ],
        },
        {
          kind: "facts",
          facts: [
            ["Wear and use", distanceText(quote, asked)],
            ["Option to buy at the end", purchaseText(quote, asked)],
            ...(standing.earlyTermination ? [["Ending it early", standing.earlyTermination] as const] : []),
            ...(standing.contract ? [["Contract", standing.contract] as const] : []),
          ],
        },
      ],
    },
  ];
}
