// Papers as they are asked for, and what of them is looked at.
import type { Block, Paper } from "@/exchange/paper-parts/paper";
import { makePaper, type PaperQuestion } from "@/exchange/papers/make-paper";
import { date } from "../core/deals";

export const LOAN = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: {
    price: "41850.00",
    tradeIn: { allowance: "9200.00", owed: "11050.00" },
    down: { amount: "3000.00" },
  },
  plan: {
    kind: "loan",
    frequency: "monthly",
    yearlyRate: "6.49",
    payments: 72,
    signed: "2026-12-08",
    firstPayment: "2027-01-08",
  },
  find: "payment",
};

export const IDS = Array.from({ length: 8 }, (_, k) => `aaaaaaaa-0000-4000-8000-00000000000${k + 1}`);

export function question(
  name: PaperQuestion["name"],
  files: readonly object[] = [LOAN],
  more: Partial<PaperQuestion> = {},
): PaperQuestion {
  const options = files.map((inputs, index) => ({ id: IDS[index], name: "", inputs }));
  return {
    name,
    dealId: "dddddddd-0000-4000-8000-000000000001",
    version: 3,
    deal: {
      customer: { name: "Idris Vantongeren" },
      vehicle: { name: "Larkmoor 240 campervan" },
      status: "quoting",
      chosen: IDS[0],
      options,
    } as unknown as PaperQuestion["deal"],
    options: options.map(({ id }) => id as string),
    house: { name: "Tarn & Hollow", settled: {} },
    locale: "en-US",
    day: date("2026-11-30"),
    ...more,
  };
}

export function paper(...asked: Parameters<typeof question>): Paper {
  const made = makePaper(question(...asked));
  if (!made.ok) throw new Error(made.sentence);
  if (!("paper" in made)) throw new Error("It is not drawn.");
  return made.paper;
}

export const block = <Kind extends Block["kind"]>({ blocks }: Paper, kind: Kind) =>
  blocks.filter((each): each is Extract<Block, { kind: Kind }> => each.kind === kind);

export const said = (made: Paper) =>
  block(made, "paragraph").map(({ spans }) =>
    spans.map(span => (typeof span === "string" ? span : span.strong)).join(""),
  );
