import { chosenOption } from "@/exchange/deal-document";
import { newDealDocument } from "@/exchange/new-deal/new-deal";
import type { Locale } from "@/exchange/notation";
import type { PaidBy } from "@/exchange/structure";
import { paidMembers, withLine, withNewLine, withoutLine } from "@/features/deal/fields";
import { ADDABLE_PARTS } from "@/features/deal/kinds/loan/plan/addable-parts";
import {
  type ChangeWithinKind,
  fieldBeside,
  fieldError,
  fieldText,
  isStale,
  type LoanState,
  type OptionAction,
  optionReducer,
  shownQuote,
  shownTally,
} from "@/features/deal/option";
import { asKind, withFrequency } from "@/features/deal/plan/kinds";
import { loanInputs } from "../loan-inputs";
import { openOption } from "./load-desk";

const typed = (field: Extract<OptionAction, { type: "typed" }>["field"], text: string): ChangeWithinKind => ({
  type: "typed",
  field,
  text,
});

/** An option with which some things were done in turn. */
function option(...actions: ChangeWithinKind[]): LoanState {
  return actions.reduce<LoanState>(
    (state, action) => optionReducer(state, action),
    openOption(loanInputs(chosenOption(newDealDocument("2026-11-24")).inputs)),
  );
}

const PRICED = [typed("price", "20,000"), typed("yearlyRate", "6"), typed("payments", "48")];
const FOUND_PRICE: ChangeWithinKind = { type: "find", figure: "price", wish: "400.00" };

test("the answer follows every key; a new deal says what is missing", () => {
  const start = option();
  expect(start.answer).toMatchObject({ ok: false, failure: { figure: "price" } });
  expect(shownQuote(start)).toBeNull();
  expect(shownQuote(option(...PRICED))?.payment).toBe(46_970);
  expect(shownQuote(option(...PRICED, typed("price", "2"), typed("price", "21,000")))?.amountFinanced).toBe(
    2_100_000,
  );
});

test("the tally runs before there is a plan, with what is owed on the trade-in", () => {
  const tally = shownTally(
    option(typed("price", "20,000"), typed("allowance", "5,000"), typed("owed", "6,500")),
  );
  expect(tally.lines.map(line => line.running)).toEqual([2_000_000, 1_500_000, 2_150_000, 2_150_000]);
  expect(tally.stale).toBe(false);
  expect(shownTally(option()).lines).toEqual([]);
  const percent = option(typed("price", "20,000"), typed("down", "3,000"), {
    type: "downKind",
    kind: "percent",
  });
  expect(fieldText(percent, "down")).toBe("15");
});

test("the term is typed in payments or in years, and stands as both", () => {
  const years = option(typed("payments", "5.5y"), { type: "left", field: "payments" });
  expect(fieldText(years, "payments")).toBe("66");
  expect(fieldBeside(option(typed("payments", "70")), "payments")).toBe("5 years 10 months");
});

test("what cannot be read stays where it was typed, the last answer stands greyed", () => {
  const state = option(...PRICED, typed("price", "20,00x"), { type: "left", field: "price" });
  expect(fieldText(state, "price")).toBe("20,00x");
  expect(state.errors.price).toBe("“20,00x” is not an amount; type one such as 41,850.00.");
  expect(isStale(state)).toBe(true);
  expect(shownQuote(state)?.price).toBe(2_000_000);
  // The rest is still saved, with the last readable price.
  expect(state.inputs.structure.price).toBe("20000.00");
  expect(isStale(optionReducer(state, typed("price", "20,001")))).toBe(false);
});

test("leaving a readable field tidies it", () => {
  expect(fieldText(option(typed("price", "$ 20000.5"), { type: "left", field: "price" }), "price")).toBe(
    "20,000.50",
  );
});

test("exactly one figure is found; the others keep their figures when the search moves on", () => {
  const price = option(...PRICED, typed("down", "2,000"), FOUND_PRICE);
  expect(price.inputs.structure.price).toBeUndefined();
  expect(shownQuote(price)?.payment).toBe(40_000);
  const foundPrice = shownQuote(price)?.price ?? 0;

  const down = optionReducer(price, { type: "find", figure: "down" });
  expect(down.inputs.structure.down).toBeUndefined();
  expect(shownQuote(down)).toMatchObject({ price: foundPrice, down: 200_000 });

  const payment = optionReducer(down, { type: "find", figure: "payment" });
  expect(payment.inputs.plan.payment).toBeUndefined();
  expect(shownQuote(payment)).toMatchObject({ price: foundPrice, down: 200_000, payment: 40_000 });
});

test("what cannot be read stays where it was typed when the search moves to another figure", () => {
  const state = option(...PRICED, typed("price", "20,00x"), { type: "find", figure: "down" });
  expect(fieldText(state, "price")).toBe("20,00x");
  expect(state.errors.price).toContain("not an amount");
  // The figure that is found from now on has no text of its own any more: the largest price for 469.70,
  // since 20,000.19 × 0.0234850… is 469.70504….
  const found = optionReducer(state, { type: "find", figure: "price" });
  expect(found.errors).toEqual({});
  expect(fieldText(found, "price")).toBe("20,000.18");
});

test("the nearest figure that works is taken over with one step", () => {
  const stuck = option(
    typed("yearlyRate", "7.9"),
    typed("payments", "60"),
    typed("owed", "14,000"),
    typed("allowance", "6,500"),
    { type: "find", figure: "price", wish: "85.00" },
  );
  if (stuck.answer.ok || !stuck.answer.failure.nearest) throw new Error("There must be no answer.");
  const { minor } = stuck.answer.failure.nearest;
  const helped = optionReducer(stuck, { type: "give", figure: "payment", minor });
  expect(helped.answer.ok).toBe(true);
  expect(fieldText(helped, "payment")).toBe("151.71");
});

test("cash down is an amount or a percent, and turns from one into the other", () => {
  const percent = option(...PRICED, typed("down", "15%"), { type: "left", field: "down" });
  expect(percent.inputs.structure.down).toEqual({ percent: "15" });
  expect(fieldText(percent, "down")).toBe("15");
  const amount = optionReducer(percent, { type: "downKind", kind: "amount" });
  expect(amount.inputs.structure.down).toEqual({ amount: "3000.00" });
  expect(optionReducer(amount, { type: "downKind", kind: "percent" }).inputs.structure.down).toEqual({
    percent: "15",
  });
});

test("the first payment is a month after the contract until it is typed, and again when it is cleared", () => {
  expect(fieldText(option(typed("signed", "2027-01-31")), "firstPayment")).toBe("Feb 28, 2027");
  const moved = option(typed("firstPayment", "2027-01-08"), typed("signed", "2026-12-01"));
  expect(fieldText(moved, "firstPayment")).toBe("2027-01-08");
  const cleared = option(typed("signed", "2026-12-01"), typed("firstPayment", ""), {
    type: "left",
    field: "firstPayment",
  });
  expect(fieldText(cleared, "firstPayment")).toBe("Jan 1, 2027");
});

test("a line taken out takes what was being typed in its list along; other lines keep theirs", () => {
  const add = (name: string): ChangeWithinKind => ({
    type: "structure",
    change: now => withNewLine(now, "fees", { name, amount: "10" }),
  });
  const state = option(
    ...PRICED,
    add("Documents"),
    add("Plates"),
    typed("fees/1/amount", "8x"),
    typed("deposit", "7"),
    typed("yearlyRate", "6x"),
  );
  expect(fieldText(state, "fees/1/amount")).toBe("8x");
  const after = optionReducer(state, {
    type: "structure",
    change: now => withoutLine(now, "fees", 0),
    forget: "fees",
  });
  expect(after.inputs.structure.fees).toEqual([{ name: "Plates", amount: "10" }]);
  expect(fieldText(after, "fees/0/amount")).toBe("10.00");
  // What cannot be read elsewhere still waits to be mended.
  expect(after.errors).toEqual({ yearlyRate: expect.stringContaining("6x") });
});

test("a percent sign makes a fee a percent of the loan, and each way of paying excludes the others", () => {
  const fee = option(
    ...PRICED,
    { type: "structure", change: now => withNewLine(now, "fees", { name: "Origination", amount: "0" }) },
    typed("fees/0/amount", "1.5 %"),
  );
  expect(fee.inputs.structure.fees).toEqual([
    { name: "Origination", percentOf: "loanAmount", percent: "1.5" },
  ]);
  // 1.5 % of 20,304.57 is 304.57.
  expect(shownQuote(fee)?.loanAmount).toBe(2_030_457);
  const paid = (way: PaidBy) =>
    optionReducer(fee, {
      type: "structure",
      change: now => withLine(now, "fees", 0, paidMembers(way)),
    }).inputs.structure.fees?.[0];
  expect(paid("atSigning")).toMatchObject({ financed: false });
  expect(paid("eachPayment")).toMatchObject({ with: "eachPayment" });
  expect(paid("financed")).toEqual({ name: "Origination", percentOf: "loanAmount", percent: "1.5" });
});

test("a first trade-in of a file of before stays where it is, until a second one comes", () => {
  const one = option(...PRICED, typed("allowance", "5,000"));
  expect(one.inputs.structure).toMatchObject({ tradeIn: { allowance: "5000.00", owed: "0" } });
  const two = optionReducer(one, {
    type: "structure",
    change: now => withNewLine(now, "tradeIns", { allowance: "100", owed: "0" }),
  });
  expect(two.inputs.structure).not.toHaveProperty("tradeIn");
  expect(two.inputs.structure.tradeIns).toHaveLength(2);
  expect(shownQuote(two)?.loanAmount).toBe(2_000_000 - 510_000);
});

test("another frequency keeps the years, and a list of payments keeps its number as a term", () => {
  const plan = option(...PRICED).inputs.plan;
  expect(withFrequency(plan, "everyTwoWeeks")).toMatchObject({ frequency: "everyTwoWeeks", payments: 104 });
  expect(withFrequency({ ...plan, payments: 7 }, "yearly")).toMatchObject({ payments: 7 });
  const listed = asKind(plan, "listed", 20_811);
  expect(listed.datedPayments).toEqual([{ date: "2026-12-24" }]);
  expect(listed).not.toHaveProperty("payments");
  expect(asKind(listed, "equalPrincipal", null)).toMatchObject({ kind: "equalPrincipal", payments: 1 });
});

test("every rare part of a plan is added, answered and taken out again", () => {
  const { plan } = option(...PRICED, typed("signed", "2026-11-24")).inputs;
  for (const { name, has, add, takeOut } of ADDABLE_PARTS) {
    const added = add(plan);
    expect([name, has(plan), has(added)]).toEqual([name, false, true]);
    const answered = optionReducer(option(...PRICED, typed("signed", "2026-11-24")), {
      type: "plan",
      change: add,
    });
    expect([name, answered.answer.ok]).toEqual([name, true]);
    expect(takeOut(added)).toEqual(plan);
  }
});

/** A deal of 20,000 at 6 % over 48 payments, written as in a place. */
function placed(locale: Locale, ...actions: ChangeWithinKind[]): LoanState {
  return option(...PRICED, { type: "locale", locale }, ...actions);
}

test("figures are typed and shown as at the deal's place, and kept plain", () => {
  const german = placed(
    "de-DE",
    typed("price", "41.850,50"),
    typed("yearlyRate", "6,49"),
    typed("signed", "1.12.2026"),
    { type: "left", field: "price" },
    { type: "left", field: "signed" },
  );
  expect(german.inputs).toMatchObject({
    locale: "de-DE",
    structure: { price: "41850.50" },
    plan: { yearlyRate: "6.49", signed: "2026-12-01" },
  });
  expect(fieldText(german, "price")).toBe("41.850,50");
  expect(fieldText(german, "signed")).toBe("01.12.2026");
  expect(fieldText(german, "firstPayment")).toBe("01.01.2027");
  const indian = placed("en-IN", typed("price", "12,41,850"), { type: "left", field: "price" });
  expect(fieldText(indian, "price")).toBe("12,41,850.00");
  expect(fieldText(optionReducer(indian, { type: "locale", locale: "fr-CA" }), "price")).toBe(
    "1\u00a0241\u00a0850,00",
  );
});

test("what cannot be read is said back as it was typed, with an example of the place", () => {
  const german = placed("de-DE", typed("price", "41.85,5.1"), typed("down", "12,345"));
  expect(fieldError(german, "price")).toBe("“41.85,5.1” is not an amount; type one such as 41.850,00.");
  expect(fieldError(german, "down")).toBe("USD has 2 decimals; “12,345” has more.");
});

test("a deal without a place of its own is written as in the house", () => {
  const inputs = option(...PRICED).inputs;
  expect(fieldText(openOption(inputs, "de-DE"), "price")).toBe("20.000,00");
  expect(fieldText(openOption({ ...inputs, locale: "en-GB" }, "de-DE"), "price")).toBe("20,000.00");
});

test("lines that every structure has are renamed, and called so wherever they are named", () => {
  const named = option(
    ...PRICED,
    typed("down", "2,000"),
    typed("names/price", "Campervan, fitted"),
    typed("names/down", "Cash with the order"),
  );
  expect(named.inputs.structure.names).toEqual({ price: "Campervan, fitted", down: "Cash with the order" });
  expect(shownQuote(named)?.lines.map(({ name }) => name)).toEqual([
    "Campervan, fitted",
    "Cash with the order",
  ]);
  expect(shownQuote(named)?.dueAtSigning.items.map(({ name }) => name)).toEqual(["Cash with the order"]);
  const again = optionReducer(named, typed("names/price", ""));
  expect(again.inputs.structure.names).toEqual({ down: "Cash with the order" });
  expect(optionReducer(again, typed("names/down", " ")).inputs.structure).not.toHaveProperty("names");
});

const keys = (field: Extract<OptionAction, { type: "typed" }>["field"], text: string): ChangeWithinKind[] => [
  ...Array.from(text, (_, place) => typed(field, text.slice(0, place + 1))),
  { type: "left", field },
];

test.each([
  ["yearlyRate", "6,49", "6"],
  ["price", "41.850,00", "20000.00"],
  ["payments", "72.5", "48"],
  ["yearlyRate", "45000", "6"],
] as const)("%s typed key by key as %s cannot be read, and stays what it was", (field, text, before) => {
  const state = option(
    ...PRICED,
    { type: "left", field: "price" },
    { type: "left", field: "yearlyRate" },
    { type: "left", field: "payments" },
    ...keys(field, text),
  );
  expect(state.errors[field]).toBeDefined();
  expect(fieldText(state, field)).toBe(text);
  const { structure, plan } = state.inputs;
  expect(String({ ...structure, ...plan }[field])).toBe(before);
  expect(isStale(state)).toBe(true);
  // Typed on with another figure, it is that one; another field changes beside it.
  const beside = optionReducer(state, typed("owed", "500"));
  expect(beside.errors[field]).toBeDefined();
  const mended = optionReducer(beside, typed(field, "12"));
  expect(mended.errors).toEqual({});
  expect(mended.inputs.structure.tradeIn?.owed).toBe("500.00");
  expect(Number({ ...mended.inputs.structure, ...mended.inputs.plan }[field])).toBe(12);
});

test("a fee that was typed with a percent sign and without it again is an amount", () => {
  const state = option(
    ...PRICED,
    { type: "structure", change: now => withNewLine(now, "fees", { name: "Documents", amount: "299.00" }) },
    ...["5", "5%", "5"].map(text => typed("fees/0/amount", text)),
  );
  expect(state.inputs.structure.fees?.[0]).toMatchObject({ amount: "5.00" });
});

test("“+500” counts from what stood there before the field was typed in", () => {
  const state = option(...PRICED, { type: "left", field: "price" }, ...keys("price", "+500"));
  expect(state.inputs.structure.price).toBe("20500.00");
});
