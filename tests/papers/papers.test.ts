// Papers: what stands on them, and that each figure is there in ink.
import { readFileSync } from "node:fs";
import { create, type Font } from "fontkit";
import ICAL from "ical.js";
import { newId } from "@/exchange/deal-document";
import { makePaper, type PaperQuestion } from "@/exchange/papers/make-paper";
import { signQuote } from "@/exchange/signed-quote";
import { runsOf } from "@/server/papers/fonts";
import { unpackedFont } from "@/server/papers/unpacked-font";
import { writePdf } from "@/server/papers/write-pdf";
import { VAN } from "../core/van-lease";
import { block, IDS, LOAN, paper, question, said } from "./asked-papers";
import { canRead, fontsOf, infoOf, inkOf, structureOf, textOf, wordsOf } from "./read-pdf";

describe("the proposal", () => {
  test("says to the customer what is financed, with the APR beside the rate, and how long it is good", () => {
    const made = paper("proposal");
    expect(made).toMatchObject({
      title: "Larkmoor 240 campervan",
      about: "Proposal for Idris Vantongeren · Nov 30, 2026 · good until Dec 14, 2026",
      size: "Letter",
    });
    const [sentence, assumed] = said(made);
    expect(sentence).toBe(
      "You finance $40,700.00 over 72 monthly payments of $683.97, the first on January 8, 2027, at 6.49 % (APR 6.49 %). Financing costs you $8,545.87; the last payment is $684.00.",
    );
    expect(assumed).toContain("Interest counts equal periods. Payments are rounded to the nearest 0.01");
    expect(assumed).toContain("not a contract. It is subject to credit approval.");
    expect(block(made, "tally")).toEqual([
      {
        kind: "tally",
        lines: [
          ["Price", "41,850.00"],
          ["Trade-in allowance", "− 9,200.00"],
          ["Owed on the trade-in", "11,050.00"],
          ["Cash down", "− 3,000.00"],
        ],
        sum: ["Loan amount", "40,700.00"],
      },
    ]);
    expect(block(made, "signatures")[0]?.who).toEqual(["Idris Vantongeren", "For Tarn & Hollow"]);
    expect(block(made, "table")).toEqual([]);
  });

  test("says it of payments that are not all alike, and of a flat rate, as the desk does", () => {
    const plan = (more: object) => said(paper("proposal", [{ ...LOAN, plan: { ...LOAN.plan, ...more } }]))[0];
    expect(plan({ interestOnly: 6 })).toContain("72 monthly payments, the first 6 just interest, then $");
    expect(plan({ steps: [{ from: 13, percent: "5" }] })).toContain("payments starting at $");
    expect(plan({ kind: "flatRate", firstPayment: undefined })).toMatch(
      /at 6\.49 % flat \(APR \d+\.\d\d %\)/,
    );
  });

  test("sets options side by side; of a lease there is no rate of any kind", () => {
    const [table] = block(paper("proposal", [LOAN, VAN]), "table");
    expect(table?.headings).toHaveLength(3);
    const row = (name: string) => table?.rows.find(({ cells }) => cells[0] === name)?.cells;
    expect(row("Payment")).toEqual(["Payment", "$683.97", "$735.48"]);
    expect(row("APR")).toEqual(["APR", "6.49 %", "–"]);
    expect(row("Rent charge")).toEqual(["Rent charge", "–", "$4,717.28"]);
    expect(table?.rows.at(-1)?.cells[0]).toBe("At the end");
    const alone = JSON.stringify(paper("proposal", [VAN]));
    expect(alone).not.toMatch(/\d ?%|APR|yearly rate|finance charge/i);
  });

  test("is written as the place writes, on its paper", () => {
    const made = paper("proposal", [{ ...LOAN, currency: "EUR", locale: "de-DE" }]);
    expect(made.size).toBe("A4");
    expect(said(made)[0]).toContain("40.700,00\u00a0€");
    expect(said(made)[1]).toContain("Good until 14.12.2026.");
  });
});

describe("the repayment table", () => {
  test("has every payment, the sums of its years and of all", () => {
    const [table] = block(paper("repaymentTable"), "table");
    const rows = table?.rows ?? [];
    expect(rows.filter(({ kind }) => kind === "line")).toHaveLength(1 + 72);
    expect(rows.filter(({ kind }) => kind === "group").map(({ cells }) => cells[0])).toEqual([
      "2027",
      "2028",
      "2029",
      "2030",
      "2031",
      "2032",
    ]);
    expect(rows[0]?.cells).toEqual(["start", "Dec 8, 2026", "", "", "", "40,700.00"]);
    expect(rows.at(-1)?.cells).toEqual(["Total", "", "49,245.87", "8,545.87", "40,700.00", "0.00"]);
    const interest = rows
      .filter(({ kind }) => kind === "group")
      .reduce((sum, { cells }) => sum + Math.round(Number(cells[3]?.replaceAll(",", "")) * 100), 0);
    expect(interest).toBe(854_587);
  });

  test("of a lease goes down to the residual", () => {
    const [table] = block(paper("repaymentTable", [VAN]), "table");
    expect(table?.rows.at(-2)?.cells.at(-1)).toBe("18,240.00");
    expect(table?.headings).toContain("Depreciation");
  });
});

describe("the payment calendar", () => {
  const eventsOf = (files: readonly object[] = [LOAN], more: Partial<PaperQuestion> = {}) => {
    const made = makePaper(question("paymentCalendar", files, more));
    if (!made.ok) return made.sentence;
    if (!("text" in made)) throw new Error("It is no text.");
    return new ICAL.Component(ICAL.parse(made.text))
      .getAllSubcomponents("vevent")
      .map(each => new ICAL.Event(each));
  };

  test("has a day for each payment with its amount, whole days, known by its number", () => {
    const events = eventsOf();
    if (typeof events === "string") throw new Error(events);
    expect(events).toHaveLength(72);
    expect([events[0]?.startDate.toString(), events[0]?.startDate.isDate, events[0]?.summary]).toEqual([
      "2027-01-08",
      true,
      "Payment 1: $683.97",
    ]);
    expect([events[71]?.startDate.toString(), events[71]?.summary]).toEqual([
      "2032-12-08",
      "Payment 72: $684.00",
    ]);
    expect(events[0]?.sequence).toBe(3);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(72);
    // Later first payment: the same events on other days.
    const plan = { ...LOAN.plan, firstPayment: "2027-01-20" };
    const moved = eventsOf([{ ...LOAN, plan }]);
    expect(typeof moved !== "string" && moved.map(({ uid }) => uid)).toEqual(events.map(({ uid }) => uid));
    expect(typeof moved !== "string" && moved[0]?.startDate.toString()).toBe("2027-01-20");
  });

  test("extras and a balloon are days of their own, and without dates there is none", () => {
    const plan = {
      ...LOAN.plan,
      balloon: { amount: "5000.00" },
      extra: {
        once: [
          { date: "2027-06-08", amount: "100.00" },
          { date: "2027-06-20", amount: "200.00" },
        ],
      },
    };
    const events = eventsOf([{ ...LOAN, plan }]);
    const summaries = typeof events === "string" ? [] : events.map(({ summary }) => summary);
    expect(summaries).toContain("Extra: $100.00");
    expect(summaries).toContain("Extra: $200.00");
    expect(summaries.at(-1)).toMatch(/^Balloon: /);
    const { signed: _s, firstPayment: _f, ...undated } = LOAN.plan;
    expect(eventsOf([{ ...LOAN, plan: undated }])).toContain("A calendar needs days");
    expect(eventsOf([VAN])).toContain("A calendar needs days");
  });
});

describe("what there is no paper of", () => {
  test("an option without an answer, or one that is gone, in a sentence", () => {
    const { price: _, ...without } = LOAN.structure;
    expect(makePaper(question("proposal", [{ ...LOAN, structure: without }]))).toMatchObject({
      ok: false,
      sentence: expect.stringContaining("There is no paper of an option without an answer: "),
    });
    expect(makePaper(question("proposal", [LOAN], { options: [newId()] }))).toMatchObject({
      ok: false,
      sentence: "The deal has no such option any more; look at it again.",
    });
  });

  test("a signed deal's is made of what was signed, whatever would be answered today", () => {
    const record = signQuote(IDS[0] as string, LOAN as never);
    const signed = [
      { ...record, figures: { ...(record as { figures: object }).figures, payment: 12_345 } },
    ] as never;
    expect(said(paper("proposal", [LOAN], { signed }))[0]).toContain("payments of $123.45");
  });
});

test("a text is drawn by the fonts that have its characters; what none has is left out", () => {
  const fonts = (text: string) => runsOf(text, "text").map(run => [run.name, run.text]);
  expect(fonts("Löwe 5 €")).toEqual([["source-sans-3-latin-400-normal", "Löwe 5 €"]]);
  expect(fonts("Łódź").map(([, text]) => text)).toEqual(["Ł", "ód", "ź"]);
  expect(runsOf("a🚐b", "text").map(({ text }) => text)).toEqual(["ab"]);
});

test("a font out of its wrapping is the same font", () => {
  const path = "node_modules/@fontsource/source-sans-3/files/source-sans-3-latin-400-normal.woff";
  const [packed, unpacked] = [readFileSync(path), unpackedFont(readFileSync(path))].map(
    bytes => create(bytes) as Font,
  );
  const drawn = (font: Font | undefined, text: string) =>
    font?.layout(text).glyphs.map(glyph => [glyph.advanceWidth, glyph.path.toSVG()]);
  expect(drawn(unpacked, "Löwe 5 €")).toEqual(drawn(packed, "Löwe 5 €"));
  expect(() => unpackedFont(Buffer.from("%PDF-1.7"))).toThrow("no WOFF");
});

const read = canRead ? test : test.skip;

describe("drawn as PDF", () => {
  test("one paper always gives the same bytes", async () => {
    const [once, again] = [await writePdf(paper("proposal")), await writePdf(paper("proposal"))];
    expect(once.equals(again)).toBe(true);
    expect(once.subarray(0, 5).toString()).toBe("%PDF-");
  });

  read.each(["proposal", "repaymentTable"] as const)(
    "%s: every word stands in ink where it is; title, language, tags, fonts",
    async name => {
      const bytes = await writePdf(paper(name, [LOAN, VAN].slice(0, name === "proposal" ? 2 : 1)));
      const words = wordsOf(bytes);
      const hasInk = inkOf(bytes);
      expect(words.length).toBeGreaterThan(100);
      expect(words.filter(word => !hasInk(word)).map(({ text }) => text)).toEqual([]);
      expect(infoOf(bytes)).toMatch(/Tagged:\s+yes/);
      expect(infoOf(bytes)).toMatch(/Title:\s+\S/);
      expect(bytes.toString("latin1")).toContain("/Lang (en)");
      const fonts = fontsOf(bytes).split("\n").slice(2).filter(Boolean);
      expect(fonts.length).toBeGreaterThan(1);
      expect(fonts.every(font => / yes yes yes /.test(font))).toBe(true);
    },
  );

  read("its figures are those of the quote, in the order in which they are read", async () => {
    const proposal = textOf(await writePdf(paper("proposal"))).replace(/\s+/g, " ");
    for (const figure of ["$40,700.00", "$683.97", "$8,545.87", "$684.00", "APR 6.49 %", "− 9,200.00"])
      expect(proposal).toContain(figure);
    const structure = structureOf(await writePdf(paper("proposal")));
    const places = ["Larkmoor 240", "You finance", "Price", "Loan amount", "Interest counts", "For Tarn"].map(
      text => structure.indexOf(text),
    );
    expect(places.every(place => place >= 0)).toBe(true);
    expect([...places].sort((a, b) => a - b)).toEqual(places);
    const table = textOf(await writePdf(paper("repaymentTable")));
    expect(table).toMatch(/72\s+Dec 8, 2032\s+684\.00/);
    expect(table.match(/Payment\s+Interest\s+Principal\s+Balance/g)?.length).toBe(3);
    expect(table).toContain("Page 3 of 3");
  });

  read(
    "eight options with amounts of eleven digits keep to the page, and none of their figures is cut",
    async () => {
      const large = { ...LOAN, structure: { price: "985000000.00" } };
      const made = paper("proposal", [large, VAN, large, VAN, large, VAN, large, VAN]);
      expect(block(made, "table")).toHaveLength(2);
      const bytes = await writePdf(made);
      const words = wordsOf(bytes);
      expect(words.every(({ box: [left, , right] }) => left >= 50 && right <= 612 - 50)).toBe(true);
      expect(words.filter(({ text }) => /\d…$/.test(text))).toEqual([]);
    },
  );

  read("names of any kind are drawn as far as there are letters for them", async () => {
    const wild = {
      customer: { name: "Ångström Łukasz Ωμέγα Жанна 🚐 ".repeat(4).slice(0, 118) },
      vehicle: { name: "קרוון".repeat(20) },
    };
    const asked = question("proposal");
    const made = makePaper({ ...asked, deal: { ...asked.deal, ...wild } as never });
    if (!made.ok || !("paper" in made)) throw new Error("There is no paper.");
    const text = textOf(await writePdf(made.paper));
    expect(text).toContain("Ångström");
    expect(text).toContain("Page 1 of 1");
  });
});
