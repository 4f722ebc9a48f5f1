// Deals whose cost papers are looked at, and what of them is.
import type { Block, Paper } from "@/exchange/paper-parts/paper";
import { makePaper, type PaperQuestion } from "@/exchange/papers/make-paper";
import { VAN } from "../core/van-lease";
import { block, LOAN, question } from "./asked-papers";

const COVER = {
  name: "Payment cover",
  amount: "400.00",
  months: 36,
  optional: { voluntary: true, costDisclosed: true, askedForInWriting: true },
};
export const RICH = {
  ...LOAN,
  structure: {
    ...LOAN.structure,
    fees: [{ name: "Origination", amount: "650.00", financeCharge: true }],
    extras: [{ name: "Service contract", amount: "2195.00" }, COVER],
  },
  plan: { ...LOAN.plan, earlyFee: { percent: "1", until: 24 } },
};
export const LEASED = {
  ...VAN,
  structure: {
    price: "40000.00",
    tradeIn: { allowance: "5000.00", owed: "2000.00" },
    rebates: [{ name: "Maker rebate", amount: "750.00" }],
    deposit: "500.00",
    fees: [{ name: "Title", amount: "85.00", financed: false }],
    down: { amount: "1500.00" },
  },
  plan: {
    ...VAN.plan,
    signed: "2026-12-08",
    acquisitionFee: { amount: "695.00", financed: true },
    securityDeposit: { roundedUpTo: "50" },
    taxes: [{ name: "County tax", rate: "6.25", on: ["payment"] }],
    distance: { perYear: 12000, unit: "mi", beyond: "0.22" },
    dispositionFee: "395.00",
    purchaseFee: "300.00",
  },
};

export const at = (place: string | undefined, more: object = {}): Partial<PaperQuestion> => {
  const { deal } = question("costEstimate", [RICH]);
  return { deal: { ...deal, ...(place && { place }), ...more } as never };
};

/** A paper of one file at a place. */
export function placed(
  name: PaperQuestion["name"],
  file: object,
  place?: string,
  more: Partial<PaperQuestion> = {},
): Paper {
  const asked = question(name, [file], more);
  const made = makePaper({ ...asked, deal: { ...asked.deal, ...(place && { place }) } as never });
  if (!made.ok || !("paper" in made)) throw new Error(made.ok ? "not drawn" : made.sentence);
  return made.paper;
}

export const group = (made: Paper): readonly Block[] => block(made, "group")[0]?.blocks ?? [];
export const tableOf = (blocks: readonly Block[], name: string) => {
  const found = blocks.find(each => each.kind === "table" && each.name === name);
  return found?.kind === "table" ? found.rows.map(({ cells }) => cells) : [];
};
export const boxesOf = (blocks: readonly Block[]) =>
  blocks.flatMap(each => (each.kind === "boxes" ? each.figures : [])).map(({ name, text }) => [name, text]);
export const factsOf = (blocks: readonly Block[]) =>
  Object.fromEntries(blocks.flatMap(each => (each.kind === "facts" ? each.facts : [])));
