import { FREQUENCY_NAMES, type LeaseQuote, paymentGroups, wholeText } from "@/core";
import type { Block, PaperRow } from "../../paper-parts/paper";
import { capital } from "../../text";
import { estimateOf, scheduleBlock } from "../kind/cost-blocks";
import type { CostAsked } from "../kind/paper-kind";

/** That it is an estimate, of which vehicle and by whom (1013.4(a)). */
export const headOf = ({ creditor, about }: CostAsked): Block[] => [
  estimateOf(creditor, "lease"),
  {
    kind: "facts",
    facts: [
      ["Vehicle", about || "not named"],
      ["Lessor", creditor || "not named"],
    ],
  },
];

/** What is due at signing, the payments, and what is charged beside them. */
export const moneyOf = (quote: LeaseQuote, asked: CostAsked): Block[] => [
  ...dueAtSigning(quote, asked),
  paymentsOf(quote, asked),
  ...otherCharges(quote, asked),
];

/** What is due at signing by what it is for, and how it is paid: both come to one total (1013.4(b)). */
function dueAtSigning(quote: LeaseQuote, { amount }: CostAsked): Block[] {
  const { dueAtSigning: due, reduction, rebates, deposit, equity } = quote;
  const items: [string, number][] = [
    ["Capitalized cost reduction", reduction],
    ...due.items.flatMap(({ figure, name, amount: each }): [string, number][] =>
      figure === "down" && each > 0
        ? []
        : [[figure === "securityDeposit" ? "Refundable security deposit" : capital(name), each]],
    ),
  ];
  const paid: [string, number][] = [
    ["Net trade-in allowance", Math.max(equity, 0)],
    ["Rebates and other credits", rebates],
    ["Deposit paid before", deposit],
    ["Cash", due.total],
  ];
  const table = (name: string, lines: [string, number][]): Block => {
    const there = lines.filter(([, each]) => each !== 0);
    return {
      kind: "table",
      name,
      headings: [name, "Amount"],
      words: 1,
      rows: [
        ...there.map(([line, each]): PaperRow => ({ kind: "line", cells: [line, amount(each)] })),
        { kind: "total", cells: ["Together", amount(lines.reduce((sum, [, each]) => sum + each, 0))] },
      ],
    };
  };
  return [table("Amount due at lease signing or delivery", items), table("How it is paid", paid)];
}

function paymentsOf({ schedule, withPayments, filled }: LeaseQuote, asked: CostAsked): Block {
  const rows = schedule.filter(({ kind }) => kind !== "closing");
  const last = rows.length - 1;
  const groups = paymentGroups(
    rows.map(({ number, date, payment, kind }, index) => ({
      number,
      date,
      amount:
        payment +
        withPayments.each +
        (index === 0 ? withPayments.first : 0) +
        (index === last ? withPayments.last : 0),
      kind: kind === "atSigning" ? "at signing" : "payment",
    })),
  );
  return scheduleBlock("Payments", groups, FREQUENCY_NAMES[filled.plan.frequency].adjective, asked);
}

/** What is charged beside the payments (1013.4(d)). */
function otherCharges({ filled }: LeaseQuote, { amount }: CostAsked): Block[] {
  const { dispositionFee } = filled.plan;
  return [
    {
      kind: "table",
      name: "Other charges",
      headings: ["Other charges, not in the payments", "Amount"],
      words: 1,
      rows: [
        ...(dispositionFee > 0
          ? [
              {
                kind: "line",
                cells: ["Disposition fee, if the vehicle is not bought", amount(dispositionFee)],
              } as const,
            ]
          : []),
        { kind: "total", cells: ["Together", amount(dispositionFee)] },
      ],
    },
  ];
}

/** What more distance and more wear than agreed cost. */
export function distanceText({ filled, deal }: LeaseQuote, { write, standing }: CostAsked): string {
  const { distance } = filled.plan;
  const said = distance
    ? `You may be charged for excessive wear and for distance beyond ${write.say(wholeText(distance.perYear))} ${distance.unit} a year, at ${write.say(distance.beyond)} ${deal.currency} for each ${distance.unit === "km" ? "km" : "mile"}.`
    : "You may be charged for excessive wear, by the lease’s standards for normal use.";
  return standing.wear ? `${said} ${standing.wear}` : said;
}

/** What it is bought for at the end. */
export function purchaseText({ residual, filled }: LeaseQuote, { write }: CostAsked): string {
  const { purchaseFee } = filled.plan;
  const fee = purchaseFee > 0 ? `, and a fee of ${write.money(purchaseFee)}` : "";
  return `You have an option to buy the vehicle at the end of the lease for ${write.money(residual)}${fee}.`;
}
