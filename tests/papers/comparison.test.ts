// A lender's figures beside the deal's, as a paper.
import type { StatedFile } from "@/exchange/match/match.schema";
import { makePaper } from "@/exchange/papers/make-paper";
import { writePdf } from "@/server/papers/write-pdf";
import { block, IDS, paper, question, said } from "./asked-papers";
import { canRead, wordsOf } from "./read-pdf";

const read = canRead ? test : test.skip;

const LOAN = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "18500.00" },
  plan: { kind: "loan", yearlyRate: "7.25", payments: 48, frequency: "monthly", rounding: "nearest" },
  find: "payment",
};

function comparison(theirs: StatedFile | undefined, place = "US") {
  const { deal } = question("comparison", [LOAN]);
  const asides = theirs && { options: { [IDS[0] as string]: { theirs } } };
  return { deal: { ...deal, place, ...(asides && { asides }) } as never };
}

const THEIRS = { payment: "445.16", lastPayment: "444.57", totalOfPayments: "21367.09", apr: "7.25" };

test("it says where they come from, each figure three times, and whether it matters", () => {
  const made = paper("comparison", [LOAN], comparison(THEIRS));
  expect(made.title).toBe("Comparison");
  expect(said(made)[0]).toBe(
    "Their figures come out to the last digit with the payment rounded up and each row’s interest rounded down.",
  );
  const [table] = block(made, "table");
  expect(table?.headings).toEqual(["", "They say", "This way", "Here", "Difference"]);
  expect(table?.rows.map(({ cells }) => cells)).toEqual([
    ["Payment", "445.16", "445.16", "445.15", "− 0.01"],
    ["Last payment", "444.57", "444.57", "445.36", "+ 0.79"],
    ["Total of payments", "21,367.09", "21,367.09", "21,367.41", "+ 0.32"],
    ["APR", "7.25 %", "7.25 %", "7.25 %", ""],
  ]);
  const text = said(made).join(" ");
  expect(text).toContain("The payment is 445.154451 before it is rounded to 445.16 (445.15 here)");
  expect(text).toContain("within an eighth of a point. (12 CFR 1026.22(a))");
  expect(text).toContain("ways tried");
  expect(said(paper("comparison", [LOAN], comparison(THEIRS, "GB"))).join(" ")).not.toContain("CFR");
});

test("where nothing gives them it has what comes near", () => {
  const made = paper("comparison", [LOAN], comparison({ ...THEIRS, lastPayment: "444.60" }));
  expect(said(made)[0]).toContain("Nothing that was tried gives all of their 4 figures");
  expect(block(made, "table")[0]?.headings[2]).toBe("The nearest way");
  expect(JSON.stringify(made.blocks)).toContain("What comes near");
});

test("without figures of another there is none", () => {
  expect(makePaper(question("comparison", [LOAN]))).toMatchObject({
    ok: false,
    sentence: expect.stringContaining("No figures of another were typed on this option"),
  });
});

read("it is written whole, word by word", async () => {
  const words = await wordsOf(await writePdf(paper("comparison", [LOAN], comparison(THEIRS))));
  expect(words.map(({ text }) => text)).toContain("445.154451");
});
