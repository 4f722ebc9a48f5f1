// Cost estimates: what stands in the frame and what apart from it, and that it adds up.
import { makePaper, type PaperQuestion } from "@/exchange/papers/make-paper";
import { VAN } from "../core/van-lease";
import { LOAN, question, said } from "./asked-papers";
import { at, boxesOf, factsOf, group, LEASED, placed, RICH, tableOf } from "./cost-files";

describe("the cost estimate of a loan in the United States", () => {
  const made = placed("costEstimate", RICH, "US");
  const inside = group(made);

  test("says first that it is an estimate; its figures add up, those of the credit larger", () => {
    expect(said(made)[0]).toMatch(/^Estimate\. Tarn & Hollow works out here what the credit costs\./);
    const boxes = Object.fromEntries(boxesOf(inside));
    // 40,700.00 and what is added: 650.00, 2,195.00 and 400.00, of which 650.00 is a prepaid finance charge.
    expect(boxes["Amount financed"]).toBe("$43,295.00");
    const cents = (text = "") => Math.round(Number(text.replace(/[$,]/g, "")) * 100);
    expect(cents(boxes["Amount financed"]) + cents(boxes["Finance charge"])).toBe(
      cents(boxes["Total of payments"]),
    );
    expect(cents(boxes["Total sale price"])).toBe(cents(boxes["Total of payments"]) + 300_000);
    expect(boxes["Annual percentage rate"]).toMatch(/^\d\.\d\d %$/);
    const large = inside
      .flatMap(each => (each.kind === "boxes" ? each.figures : []))
      .filter(each => each.isLarge);
    expect(large.map(({ name }) => name)).toEqual(["Annual percentage rate", "Finance charge"]);
  });

  test("tells payments in rows that add up, and what is agreed in words", () => {
    const rows = tableOf(inside, "Payment schedule");
    expect(rows.map(cells => cells[0])).toEqual(["71", "1", "72"]);
    expect(rows[0]?.[1]).toBe("monthly from January 8, 2027");
    expect(`$${rows.at(-1)?.[3]}`).toBe(Object.fromEntries(boxesOf(inside))["Total of payments"]);
    const facts = factsOf(inside);
    expect(facts.Prepayment).toBe("If you pay off early, you may have to pay a penalty.");
    expect(facts["Payment cover"]).toContain("It costs $400.00 for 36 months, and was asked for in writing.");
    expect(facts["Service contract"]).toBeUndefined();
    expect(said(made).at(-1)).toBe(
      "Not on this paper: late payment; security interest; whether part of the prepaid finance charge is given back where the loan is paid off early.",
    );
  });

  test("has nothing in its group but the items, the itemization apart from it on its own page", () => {
    const kinds = made.blocks.map(({ kind }) => kind);
    expect(kinds.indexOf("page")).toBeGreaterThan(kinds.indexOf("group"));
    expect(JSON.stringify(inside)).not.toContain("Itemization");
    const rows = tableOf(made.blocks, "Itemization of the amount financed");
    expect(rows.at(-1)).toEqual(["Amount financed", "43,295.00"]);
    expect(tableOf(made.blocks, "Prepaid finance charge")[0]).toEqual(["Origination", "650.00"]);
  });

  test("says what the house has settled, and of a flat rate that part of the charge is refunded", () => {
    const settled = {
      standing: { latePayment: "5 % after 10 days.", security: "In the van.", contract: "See it." },
    };
    const flat = { ...LOAN, plan: { ...LOAN.plan, kind: "flatRate", firstPayment: undefined } };
    const facts = factsOf(
      group(placed("costEstimate", flat, "US", { house: { name: "Tarn & Hollow", settled } })),
    );
    expect(facts).toMatchObject({
      "Late payment": "5 % after 10 days.",
      "Security interest": "In the van.",
      Contract: "See it.",
      Prepayment: "If you pay off early, you may be entitled to a refund of part of the finance charge.",
    });
  });

  test("there is none for business use, nor above the house's amount; and why is said", () => {
    const of = (more: Partial<PaperQuestion>) => makePaper(question("costEstimate", [RICH], more));
    expect(of(at("US", { use: "business" }))).toEqual({
      ok: false,
      sentence: "The deal is for business use; a cost estimate is of credit for personal use.",
    });
    const house = (consumerLimit: string) => ({ name: "", settled: { consumerLimit } });
    expect(of({ ...at("US"), house: house("43294.99") })).toMatchObject({
      ok: false,
      sentence: expect.stringContaining("The amount is above $43,294.99"),
    });
    expect(of({ ...at("US"), house: house("43295.00") })).toMatchObject({ ok: true });
  });
});

describe("the cost estimate elsewhere", () => {
  test.each([
    ["GB", "APR", /^\d\.\d %$/],
    ["DE", "Annual percentage rate of charge", /^\d\.\d\d %$/],
    [undefined, "Effective yearly rate", /^\d\.\d\d %$/],
  ])(
    "at %s it is in general terms, with the yearly rate of all costs by its name there",
    (place, name, form) => {
      const made = placed("costEstimate", RICH, place);
      const boxes = Object.fromEntries(boxesOf(group(made)));
      expect(boxes["Amount of credit"]).toBe("$43,945.00");
      expect(boxes[name]).toMatch(form);
      expect(factsOf(group(made))).toMatchObject({
        "Borrowing rate": "6.49 % a year",
        Origination: "$650.00",
      });
      expect(JSON.stringify(made)).not.toContain("Amount financed");
    },
  );
});

describe("the cost estimate of a lease", () => {
  const made = placed("costEstimate", LEASED, "US");
  const inside = group(made);

  test("has both sides of what is due at signing, which come to one total", () => {
    const due = tableOf(inside, "Amount due at lease signing or delivery");
    const paid = tableOf(inside, "How it is paid");
    expect(due[0]).toEqual(["Capitalized cost reduction", "5,750.00"]);
    expect(due.map(([name]) => name)).toContain("Refundable security deposit");
    expect(paid.slice(0, 3)).toEqual([
      ["Net trade-in allowance", "3,000.00"],
      ["Rebates and other credits", "750.00"],
      ["Deposit paid before", "500.00"],
    ]);
    expect(due.at(-1)).toEqual(paid.at(-1));
  });

  test("reckons its total of payments and its payment as the rule has it", () => {
    const steps = tableOf(inside, "How the payment is determined");
    const value = (name: string) => steps.find(([each]) => each?.startsWith(name))?.[1];
    const cents = (text = "") => Math.round(Number(text.replace(/[^\d.]/g, "")) * 100);
    expect(cents(value("Gross capitalized cost"))).toBe(4_069_500);
    expect(cents(value("Adjusted capitalized cost"))).toBe(4_069_500 - 575_000);
    expect(cents(value("Depreciation"))).toBe(4_069_500 - 575_000 - 1_824_000);
    expect(cents(value("Total of base"))).toBe(cents(value("Depreciation")) + cents(value("Rent charge")));
    expect(cents(value("Base periodic payment")) * 36).toBe(cents(value("Total of base")));
    const due = tableOf(inside, "Amount due at lease signing or delivery");
    const [deposit] = due.filter(([name]) => name === "Refundable security deposit");
    const payments = tableOf(inside, "Payments");
    // (b) less what is refundable + (c) less what of it is paid at signing + (d).
    expect(boxesOf(inside)[0]).toEqual([
      "Total of payments",
      `$${((cents(due.at(-1)?.[1]) - cents(deposit?.[1]) + cents(payments.at(-1)?.[3]) - cents(payments[0]?.[3]) + 39_500) / 100).toLocaleString("en-US", { minimumFractionDigits: 2 })}`,
    ]);
  });

  test("has no rate of any kind, and stands in the order of the rule", () => {
    const text = JSON.stringify(made);
    expect(text).not.toMatch(/\d ?%|APR|annual|money factor|finance charge/i);
    const places = [
      "due at lease signing",
      "Number of payments",
      "Disposition",
      "Total of payments",
      "Gross",
      "Early termination",
      "Wear and use",
      "Option to buy",
      "Other terms",
    ].map(word => text.indexOf(word));
    expect(places.every(place => place > 0)).toBe(true);
    expect([...places].sort((a, b) => a - b)).toEqual(places);
    expect(factsOf(inside)["Wear and use"]).toContain("12,000 mi a year, at 0.22 USD for each mile");
  });

  test("there is none of four months and less", () => {
    const short = { ...VAN, plan: { ...VAN.plan, payments: 4 } };
    expect(
      makePaper({
        ...question("costEstimate", [short]),
        ...{ deal: { ...question("costEstimate", [short]).deal, place: "US" } as never },
      }),
    ).toMatchObject({
      ok: false,
      sentence: expect.stringContaining("four months"),
    });
  });
});
