import { FOUND_FIGURES, type FoundFigure, type LoanQuote } from "@/core";
import { checkDealFile } from "@/exchange/deal-file/parse";
import type { LoanFile } from "@/exchange/kinds/loan";
import {
  isKnownFor,
  LOAN_KNOWN_NAMES,
  type LoanKnownName,
} from "@/features/deal/kinds/loan/fields/loan-known";
import { type LoanState, optionReducer, shownQuote } from "@/features/deal/option";
import { openOption } from "./load-desk";

const LOAN: LoanFile = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: {
    price: "30000.00",
    tradeIn: { allowance: "5000.00", owed: "1000.00" },
    down: { amount: "2000.00" },
  },
  plan: {
    kind: "loan",
    yearlyRate: "6",
    payments: 60,
    frequency: "monthly",
    signed: "2026-11-24",
    balloon: { amount: "4000.00" },
    extra: { each: "25.00", once: [{ date: "2028-01-24", amount: "500.00" }] },
  },
  find: "payment",
};

const find = (state: LoanState, figure: FoundFigure) => optionReducer(state, { type: "find", figure });

/** What a figure is in an answer. */
function figureIn(quote: LoanQuote, figure: FoundFigure): number | string | undefined {
  switch (figure) {
    case "payments":
      return quote.plannedPayments;
    case "balloon":
      return quote.agreedBalloon;
    case "extra":
      return quote.extraEach;
    case "lump":
      return quote.filled.plan.extra?.once?.[0]?.amount ?? undefined;
    case "downPercent":
      return quote.down;
    default:
      return quote[figure];
  }
}

/** A balloon and extras have their own ways; without them a figure is found just as it was given. */
const PLAIN: LoanFile = {
  ...LOAN,
  plan: { ...LOAN.plan, balloon: undefined, extra: undefined } as LoanFile["plan"],
};

test.each(FOUND_FIGURES)("%s is found from the screen, and is in the file as it can be", figure => {
  const state = openOption(JSON.parse(JSON.stringify(LOAN)) as LoanFile);
  const found = find(state, figure);
  expect(found.inputs.find).toBe(figure);
  expect(checkDealFile(JSON.parse(JSON.stringify(found.inputs)))).toMatchObject({ ok: true });
  if (!found.answer.ok) throw new Error(`${figure}: ${found.answer.failure.sentence}`);
});

test.each(["price", "down", "allowance", "payments"] as const)(
  "%s found from the payment that it gives is what it was",
  figure => {
    const state = openOption(JSON.parse(JSON.stringify(PLAIN)) as LoanFile);
    const before = shownQuote(state);
    const after = shownQuote(find(state, figure));
    if (!before || !after) throw new Error("There is no answer.");
    const [was, is] = [figureIn(before, figure), figureIn(after, figure)].map(Number);
    // The payment is rounded: some cents of a price share it.
    expect(Math.abs((was ?? 0) - (is ?? 0))).toBeLessThanOrEqual(60);
    const back = find(find(state, figure), "payment");
    expect(back.inputs.plan.payment).toBeUndefined();
    expect(shownQuote(back)?.payment).toBe(before.payment);
  },
);

test("a cash down in percent is found as one", () => {
  const state = openOption({ ...LOAN, structure: { ...LOAN.structure, down: { percent: "10" } } });
  expect(find(state, "down").inputs.find).toBe("downPercent");
});

test("each figure that it can be found from stands there as it is, and gives the answer again", () => {
  for (const figure of [
    "price",
    "down",
    "allowance",
    "yearlyRate",
    "payments",
    "balloon",
    "extra",
  ] as const) {
    for (const [known] of LOAN_KNOWN_NAMES) {
      // With a cash down that is typed, no price changes what is due at signing, and the answer says so.
      const isFixed = known === "dueAtSigning" && figure !== "down";
      if (!isKnownFor(figure, known) || known === "cashReceived" || isFixed) continue;
      const start = find(openOption(JSON.parse(JSON.stringify(PLAIN)) as LoanFile), figure);
      const state = optionReducer(start, { type: "known", figure: known as LoanKnownName });
      expect([figure, known, checkDealFile(JSON.parse(JSON.stringify(state.inputs))).ok]).toEqual([
        figure,
        known,
        true,
      ]);
      expect([figure, known, state.answer.ok ? "" : state.answer.failure.sentence]).toEqual([
        figure,
        known,
        "",
      ]);
    }
  }
});
