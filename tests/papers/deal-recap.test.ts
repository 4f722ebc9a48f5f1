// Both sides of a deal on one paper, and what a proposal says of the dealer's commission.

import { documentOf } from "@/exchange/deal-document";
import type { DealFile } from "@/exchange/deal-file";
import type { Dealer } from "@/exchange/dealer";
import { dealRecap } from "@/exchange/papers/deal-recap";
import { makePaper } from "@/exchange/papers/make-paper";
import { writePdf } from "@/server/papers/write-pdf";
import { IDS, LOAN, question } from "./asked-papers";
import { textOf } from "./read-pdf";

const [id = ""] = IDS;
const HEADING = { status: "quoting", place: "US" } as const;
const document = documentOf(
  { ...HEADING, customer: { id, name: "Idris Vantongeren" } },
  { id, name: "", inputs: { ...LOAN, lender: "Quillon Mutual" } as unknown as DealFile },
);
const DEALER: Dealer = {
  applicant: { score: 704, income: "5200.00" },
  options: {
    [id]: {
      cost: "36100.00",
      costs: { "trade-in-1": "8700.00" },
      buyRate: "5.25",
      reserve: { method: "presentValue", chargeback: { until: 6, then: "byInterest" } },
      officerShare: { percent: "10", of: "all" },
      lenderAnswers: [{ lender: "Quillon Mutual", state: "approved", on: "2026-11-24" }],
    },
  },
};
const asked = {
  document,
  dealer: DEALER,
  house: { name: "Tarn & Hollow", settled: {} },
  locale: "en-US",
  day: 20_000,
} as const;

test("a recap has both sides of the deal, what lenders said and who gets what, and is of no customer", async () => {
  const made = dealRecap(asked);
  if (!made.ok) throw new Error(made.sentence);
  const { blocks, foot, about } = made.paper;
  expect([foot, about]).toEqual([
    "For the house alone. Not for customers.",
    expect.stringContaining("Deal recap for Idris Vantongeren"),
  ]);
  const table = blocks.find(({ kind }) => kind === "table");
  expect(table).toMatchObject({
    rows: [
      { cells: ["Price less cost", "41,850.00 − 36,100.00", "5,750.00"] },
      { cells: ["Trade-in", "8,700.00 − 9,200.00", "−500.00"] },
      { kind: "total", cells: ["Front gross", "", "5,250.00"] },
      { cells: ["Reserve", "", "1,465.33"] },
      { kind: "total", cells: ["Back gross", "", "1,465.33"] },
      { kind: "total", cells: ["Earned in all", "", "6,715.33"] },
    ],
  });
  const facts = Object.fromEntries(blocks.flatMap(block => (block.kind === "facts" ? block.facts : [])));
  expect(facts).toMatchObject({
    Lender: "Quillon Mutual",
    "Buy rate": "5.25",
    Officer: "10 % of all that is earned: 671.53",
    House: "6,043.80",
    "Lender’s answer 1": "Quillon Mutual: approved on Nov 24, 2026",
    "The customer": "score 704, income 5,200.00",
  });
  const text = await textOf(await writePdf(made.paper));
  for (const said of ["For the house alone", "Front gross", "6,715.33"]) expect(text).toContain(said);
});

test("there is no recap of an option without an answer", () => {
  const { yearlyRate: _, ...plan } = LOAN.plan as { yearlyRate?: string };
  const [option] = document.options;
  const without = { ...document, options: [{ ...option, inputs: { ...LOAN, plan } }] } as typeof document;
  expect(dealRecap({ ...asked, document: without })).toMatchObject({
    ok: false,
    sentence: expect.stringContaining("no recap of an option without an answer"),
  });
});

describe("commission on a proposal", () => {
  const textAt = (place: "US" | "GB", commission?: object | null) => {
    const base = question("proposal");
    const made = makePaper({
      ...base,
      deal: { ...base.deal, place },
      details: { ...(commission !== undefined && { commission: commission as never }) },
    });
    return made.ok ? JSON.stringify("paper" in made && made.paper.blocks) : made.sentence;
  };

  test("is told in the United Kingdom, with no amount unless that is chosen", () => {
    expect(textAt("US")).not.toContain("commission");
    expect(textAt("GB")).toContain("the dealer is paid commission by the lender");
    expect(textAt("GB")).not.toContain("It is 400.00");
    expect(textAt("GB", { method: "flat", amount: "400.00" })).toContain("It is 400.00 USD.");
    expect(textAt("GB", { method: "flat", percent: "1" })).toContain("It is 407.00 USD.");
  });

  test("has no amount where none is agreed, where it follows the rate, or elsewhere", () => {
    expect(textAt("GB", null)).toBe("No commission is agreed for this option.");
    expect(textAt("GB", { method: "presentValue" })).toContain("may not follow the rate");
    expect(textAt("US", { method: "flat", amount: "400.00" })).toContain("in the United Kingdom alone");
  });
});
