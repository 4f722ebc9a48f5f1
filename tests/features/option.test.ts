import { chosenOption } from "@/exchange/deal-document";
import { newDealDocument } from "@/features/deal/desk/new-deal";
import {
  fieldText,
  isStale,
  type OptionAction,
  type OptionState,
  openOption,
  optionReducer,
  shownQuote,
  shownTally,
} from "@/features/deal/option";

const typed = (field: Extract<OptionAction, { type: "typed" }>["field"], text: string): OptionAction => ({
  type: "typed",
  field,
  text,
});

/** An option with which some things were done in turn. */
function option(...actions: OptionAction[]): OptionState {
  return actions.reduce(optionReducer, openOption(chosenOption(newDealDocument("2026-11-24")).inputs));
}

const PRICED = [typed("price", "20,000"), typed("yearlyRate", "6"), typed("payments", "48")];
const FOUND_PRICE: OptionAction = { type: "find", figure: "price", payment: "400.00" };

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

test("the term shows as payments and as years, whichever is typed", () => {
  const years = option(typed("years", "5.5"));
  expect(fieldText(years, "payments")).toBe("66");
  const odd = option(typed("payments", "70"));
  expect(fieldText(odd, "years")).toBe("5 y 10 m");
  // Typing in one clears what was left half-typed in the other.
  expect(fieldText(option(typed("years", "x"), typed("payments", "24")), "years")).toBe("2");
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
    { type: "find", figure: "price", payment: "85.00" },
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
  expect(fieldText(option(typed("signed", "2027-01-31")), "firstPayment")).toBe("2027-02-28");
  const moved = option(typed("firstPayment", "2027-01-08"), typed("signed", "2026-12-01"));
  expect(fieldText(moved, "firstPayment")).toBe("2027-01-08");
  const cleared = option(typed("signed", "2026-12-01"), typed("firstPayment", ""), {
    type: "left",
    field: "firstPayment",
  });
  expect(fieldText(cleared, "firstPayment")).toBe("2027-01-01");
});
