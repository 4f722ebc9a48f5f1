// Extras, payoff, payments per 1,000, what is tried, and letters.
import PostalMime from "postal-mime";
import sharp from "sharp";
import type { Paper } from "@/exchange/paper-parts/paper";
import { makePaper, type PaperQuestion } from "@/exchange/papers/make-paper";
import { undrawn } from "@/server/papers/fonts";
import { visualParts } from "@/server/papers/visual-order";
import { writeLetter } from "@/server/papers/write-letter";
import { writePdf } from "@/server/papers/write-pdf";
import { date } from "../core/deals";
import { VAN } from "../core/van-lease";
import { block, IDS, LOAN, paper, question, said } from "./asked-papers";
import { LEASED, placed, RICH, tableOf } from "./cost-files";
import { canRead, infoOf, inkOf, structureOf, textOf, wordsOf } from "./read-pdf";

const read = canRead ? test : test.skip;

test("extras stand one by one with a place for initials, and nothing is ticked", () => {
  const made = paper("extras", [RICH]);
  const [table] = block(made, "table");
  expect(table?.headings).toEqual([
    "Extra",
    "Holds for",
    "Price",
    "Payment with it",
    "Payment without it",
    "Initials",
  ]);
  expect(table?.rows[1]?.cells.slice(0, 3)).toEqual(["Payment cover", "36 months", "400.00"]);
  expect(table?.rows.every(({ cells }) => !/[x✓☑]/i.test(cells.at(-1) ?? ""))).toBe(true);
  expect(makePaper(question("extras", [LOAN]))).toMatchObject({
    ok: false,
    sentence: "The option has no extras.",
  });
});

test("a payoff has the figures of the repayment view: on a day, after a payment, of a flat rate its refunds", () => {
  const rows = (file: object, details: PaperQuestion["details"]) =>
    Object.fromEntries(
      tableOf(paper("payoff", [file], { details: details ?? {} }).blocks, "Payoff") as [string, string][],
    );
  const on = rows(RICH, { payoff: { date: date("2028-03-15") }, through: date("2028-03-22") });
  expect(on).toHaveProperty("Charge for paying early");
  expect(Object.keys(on)).toContain("The sum good through March 22, 2028");
  expect(rows(LOAN, { payoff: { after: 36 } })["Principal after payment 36"]).toBe("$22,319.57");
  const flat = rows(
    { ...LOAN, plan: { ...LOAN.plan, kind: "flatRate", firstPayment: undefined } },
    { payoff: { after: 12 } },
  );
  expect(Object.keys(flat).some(name => name.includes("of the charge refunded"))).toBe(true);
  expect(makePaper(question("payoff", [VAN]))).toMatchObject({ ok: false });
  expect(makePaper(question("payoff", [LOAN], { details: { payoff: { after: 99 } } }))).toMatchObject({
    ok: false,
    sentence: expect.stringContaining("none of this loan's"),
  });
});

test("payments per 1,000 are marked for the desk", () => {
  const made = paper("perThousand", [LOAN], { details: { rates: ["6"], terms: [60, 72] } });
  expect(said(made)[0]).toMatch(/^For the desk\./);
  expect(made.foot).toBe("For the desk. Not for customers.");
  // 1,000 at 0.5 % a month: 19.3328 and 16.5729.
  expect(block(made, "table")[0]?.rows[0]?.cells).toEqual(["6 %", "19.33", "16.57"]);
});

test("extra payments that are tried stand on a table that says that they are not agreed", () => {
  const asides = { options: { [IDS[0] as string]: { early: { once: [{ after: 24, amount: "4000.00" }] } } } };
  const { deal } = question("repaymentTable");
  const made = paper("repaymentTable", [LOAN], {
    deal: { ...deal, asides } as never,
    details: { isTried: true },
  });
  expect(made.title).toBe("Repayment table with extra payments");
  expect(said(made)[0]).toBe("Not agreed. Tried beside the plan: extra 4,000.00 after payment 24.");
  const extra = block(made, "table")[0]?.rows.find(({ cells }) => cells[0]?.endsWith(" extra"));
  expect(extra?.cells[2]).toBe("4,000.00");
  expect(makePaper(question("repaymentTable", [LOAN], { details: { isTried: true } }))).toMatchObject({
    ok: false,
  });
  // What is agreed has none of it.
  expect(JSON.stringify(paper("repaymentTable"))).not.toContain("extra");
});

describe("a letter", () => {
  const letter = () => {
    const made = makePaper(
      question("letter", [LOAN], {
        house: { name: "Tarn & Hollow", settled: { officer: "Ana Quill", email: "desk@tarn.example" } },
        details: { enclosed: ["proposal", "paymentCalendar"] },
      }),
    );
    if (!made.ok || !("letter" in made)) throw new Error("There is no letter.");
    return made.letter;
  };
  const enclosed = [
    { fileName: "Łucja, proposal.pdf", type: "application/pdf", bytes: Buffer.from("%PDF-1.7 …") },
    {
      fileName: "Łucja, payment calendar.ics",
      type: "text/calendar; charset=utf-8",
      bytes: Buffer.from("BEGIN:VCALENDAR\r\n"),
    },
  ];
  const day = new Date("2026-11-30T00:00:00Z");

  test("is a draft that another program reads back whole", async () => {
    const bytes = await writeLetter(letter(), enclosed, day);
    const mail = await PostalMime.parse(bytes);
    expect(mail.headers.find(({ key }) => key === "x-unsent")?.value).toBe("1");
    expect([mail.from?.address, mail.subject, mail.to]).toEqual([
      "desk@tarn.example",
      "Larkmoor 240 campervan: your figures",
      undefined,
    ]);
    expect(mail.text).toContain("You finance $40,700.00 over 72 monthly payments of $683.97");
    expect(mail.text).toContain("You find enclosed: proposal, payment calendar.");
    expect(mail.attachments.map(({ filename, mimeType }) => [filename, mimeType])).toEqual([
      ["Łucja, proposal.pdf", "application/pdf"],
      ["Łucja, payment calendar.ics", "text/calendar"],
    ]);
    expect(Buffer.from(mail.attachments[0]?.content as ArrayBuffer)).toEqual(enclosed[0]?.bytes);
  });

  test("is the same bytes for one state and day", async () => {
    const [once, again] = [
      await writeLetter(letter(), enclosed, day),
      await writeLetter(letter(), enclosed, day),
    ];
    expect(once.equals(again)).toBe(true);
  });
});

describe("drawn as PDF", () => {
  read.each([
    ["costEstimate", RICH],
    ["costEstimate", LEASED],
    ["extras", RICH],
    ["payoff", RICH],
    ["perThousand", LOAN],
  ] as const)("%s: every word stands in ink, within the page", async (name, file) => {
    const bytes = await writePdf(placed(name, file, "US"));
    const words = wordsOf(bytes);
    const hasInk = inkOf(bytes);
    expect(words.length).toBeGreaterThan(30);
    expect(infoOf(bytes)).toMatch(/Tagged:\s+yes/);
    expect(infoOf(bytes)).toMatch(/Title:\s+\S/);
    expect(bytes.toString("latin1")).toContain("/Lang (en)");
    expect(words.filter(word => !hasInk(word)).map(({ text }) => text)).toEqual([]);
    expect(words.every(({ box: [left, , right] }) => left >= 44 && right <= 612 - 44)).toBe(true);
    const figures = [...JSON.stringify(placed(name, file, "US").blocks).matchAll(/\d[\d,]*\.\d\d/g)].map(
      ([each]) => each,
    );
    const text = textOf(bytes);
    expect(figures.filter(figure => !text.includes(figure))).toEqual([]);
  });

  read("a cost estimate is read in the order in which it stands", async () => {
    const structure = structureOf(await writePdf(placed("costEstimate", RICH, "US")));
    const places = [
      "Estimate.",
      "Creditor",
      "Annual percentage rate",
      "Total sale price",
      "Number of payments",
      "Prepayment",
      "Not on this paper",
      "Itemization",
      "Prepaid finance charge",
    ].map(text => structure.indexOf(text));
    expect(places.every(place => place >= 0)).toBe(true);
    expect([...places].sort((a, b) => a - b)).toEqual(places);
  });

  read("the house stands on top, with its picture", async () => {
    const logo = await sharp({ create: { width: 200, height: 100, channels: 3, background: "#0d665f" } })
      .png()
      .toBuffer();
    const settled = { address: "12 Quay Lane\nMarrow Bay", telephone: "555 0100" };
    const made = placed("payoff", RICH, "US", { house: { name: "Tarn & Hollow", settled, logo } });
    const bytes = await writePdf(made);
    expect(textOf(bytes)).toMatch(/Tarn & Hollow[\s\S]*12 Quay Lane, Marrow Bay[\s\S]*555 0100/);
    // Something dark stands left of the name, where the picture is.
    const [name] = wordsOf(bytes).filter(({ text }) => text === "Tarn");
    expect(inkOf(bytes)({ text: "", page: 1, box: [60, 45, 110, 65] })).toBe(true);
    expect(name?.box[0]).toBeGreaterThan(120);
  });

  read("a preview is marked so on each page, a paper is not", async () => {
    const made = placed("costEstimate", RICH, "US");
    // Letters that stand aslant are read one by one, each in a high box.
    const marks = async (each: Paper) => {
      const letters = wordsOf(await writePdf(each)).filter(({ box: [, top, , bottom] }) => bottom - top > 80);
      const inOrder = letters.sort((one, other) => one.box[0] - other.box[0]);
      return [1, 2].map(on => inOrder.flatMap(({ page, text }) => (page === on ? text : [])).join(""));
    };
    expect(await marks({ ...made, mark: "Preview" })).toEqual(["Preview", "Preview"]);
    expect(await marks(made)).toEqual(["", ""]);
  });

  read("names in Japanese, Hebrew and Arabic are drawn, in their own direction", async () => {
    const names = { customer: { name: "山田 花子" }, vehicle: { name: "קרוון כחול גדול" } };
    const asked = question("proposal");
    const made = makePaper({ ...asked, deal: { ...asked.deal, ...names } as never });
    if (!made.ok || !("paper" in made)) throw new Error("There is no paper.");
    const bytes = await writePdf(made.paper);
    const words = wordsOf(bytes);
    const hasInk = inkOf(bytes);
    const found = words.filter(({ text }) => /[\u0590-\u05ff\u3000-\u9fff]/.test(text));
    expect(found.length).toBeGreaterThanOrEqual(5);
    expect(found.every(hasInk)).toBe(true);
    // The first word of Hebrew stands to the right of the last.
    const title = found.filter(({ text, box }) => /[\u0590-\u05ff]/.test(text) && box[1] < 140);
    const x = (word: string) =>
      title.find(({ text }) => [word, [...word].reverse().join("")].includes(text))?.box[0] ?? 0;
    expect(x("קרוון")).toBeGreaterThan(x("גדול"));
  });
});

test("what no font has is told; what joins letters is not", () => {
  expect(undrawn("A van 🚐, Łódź, 山田, קרוון, عربة, ﷽")).toEqual(["🚐"]);
  expect(undrawn("family \u200d and \ufe0f")).toEqual([]);
});

test("words from right to left stand in their order, figures among them in theirs", () => {
  const seen = (text: string) => visualParts(text).map(({ from, to }) => text.slice(from, to));
  expect(seen("A 240 van")).toEqual(["A 240 van"]);
  expect(seen("קרוון כחול").filter(part => part.trim())).toEqual(["כחול", "קרוון"]);
  expect(
    seen("van קרוון 240")
      .filter(part => part.trim())
      .map(part => part.trim()),
  ).toEqual(["van", "240", "קרוון"]);
});
