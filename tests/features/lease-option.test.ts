import fc from "fast-check";
import type { LeaseQuote } from "@/core";
import { chosenOption, documentOf } from "@/exchange/deal-document";
import type { DealFile } from "@/exchange/deal-file";
import { factorOfRate, rateOfFactor, reckonedBy } from "@/exchange/kinds/lease/reckoning";
import type { FieldName } from "@/features/deal/fields";
import { describeOption } from "@/features/deal/history/describe-document";
import { LEASE_FIELD_NAMES } from "@/features/deal/kinds/lease/fields/lease-fields";
import { withNewLeaseTax, withoutLeaseTax } from "@/features/deal/kinds/lease/fields/lease-taxes";
import { LEASE_PARTS } from "@/features/deal/kinds/lease/lease-parts";
import {
  type ChangeWithinKind,
  fieldBeside,
  fieldError,
  fieldText,
  isStale,
  type LeaseState,
  optionReducer,
  shownQuote,
  shownTally,
} from "@/features/deal/option";
import { asideAt } from "@/features/deal/option/asides";
import { leases } from "../core/random-leases";
import { named } from "../named";
import { LOAN, VAN } from "./lease-and-loan";
import { openOption } from "./load-desk";

const typed = (field: FieldName, text: string): ChangeWithinKind => ({ type: "typed", field, text });

function van(...actions: ChangeWithinKind[]): LeaseState {
  const opened = openOption(VAN);
  if (opened.kind !== "lease") throw new Error("It is a loan.");
  return actions.reduce<LeaseState>((state, action) => optionReducer(state, action), opened);
}

test("the answer follows every key", () => {
  expect(shownQuote(van())).toMatchObject({ basePayment: 73_548, payment: 78_145, rentCharge: 471_728 });
  expect(shownQuote(van(typed("lease/moneyFactor", ".002")))?.basePayment).toBe(72_092);
  expect(shownQuote(van(typed("lease/residual", "45 %"), typed("price", "41,000")))?.residual).toBe(
    1_883_250,
  );
  const stale = van(typed("lease/residual", "many"));
  expect([isStale(stale), fieldError(stale, "lease/residual")]).toEqual([
    true,
    "“many” is not an amount; type one such as 41,850.00.",
  ]);
  expect(shownQuote(stale)?.payment).toBe(78_145);
});

test.each<[FieldName, string, string]>([
  [
    "lease/moneyFactor",
    "six",
    "“six” is not a money factor; type one such as 0.00225, which stands for 5.4 % a year.",
  ],
  ["lease/payments", "3000", "3000 is not a possible number of payments; it can be 1 to 1,200."],
  ["lease/inAdvance", "two", "“two” is not a number of payments at signing; type 0, 1, more, or all."],
  ["lease/signed", "someday", "Type a date such as 24 Nov, Nov 24, 2027 or +3 weeks, from 1900 to 2199."],
  ["lease/residual", "2000 %", "“2000 %” is not a percent of the price; type one such as 43.6."],
  ["leaseTaxes/0/rate", "-30", "“-30” is not a percent; type one from 0 to 100, such as 6.25."],
])("what cannot be read in %s is said where it was typed", (field, text, sentence) => {
  const state = van(typed(field, text));
  expect(fieldError(state, field)).toBe(sentence);
  expect(state.inputs).toEqual(VAN);
});

test("a figure of the core's refusal stands at its field", () => {
  const state = van(typed("lease/inAdvance", "40"));
  expect(fieldError(state, "lease/inAdvance")).toContain("40");
  const high = van(typed("lease/residual", "90,000"));
  expect(fieldError(high, "lease/residual")).toContain("asks for a payment below zero");
});

test.each<LeaseState["inputs"]["find"]>(["residual", "price", "down", "payments", "moneyFactor"])(
  "the %s is found for a payment, and given when another figure is found",
  find => {
    const state = van({ type: "find", figure: find, wish: "733.00" });
    const field: FieldName = find === "price" || find === "down" ? find : `lease/${find as "residual"}`;
    const quote = shownQuote(state);
    expect(quote?.payment).toBeLessThanOrEqual(73_300);
    expect(state.inputs.plan.payment).toBe("733.00");
    expect(fieldText(state, field)).not.toBe("");
    const back = optionReducer(state, { type: "find", figure: "payment" });
    expect(back.inputs).not.toHaveProperty("plan.payment");
    expect(fieldText(back, field).replace(/\.00$/, "")).toBe(fieldText(state, field).replace(/\.00$/, ""));
    expect(shownQuote(back)?.payment).toBe(quote?.payment);
  },
);

test("a residual that is a percent is found as one, and the rate as the lease is reckoned", () => {
  const percent = van(typed("lease/residual", "43.6 %"), {
    type: "find",
    figure: "residual",
    wish: "781.45",
  });
  expect(percent.inputs.find).toBe("residualPercent");
  expect(percent.inputs.plan).not.toHaveProperty("residual");
  const level = van(
    { type: "lease", change: plan => reckonedBy(plan, "levelYield") },
    { type: "find", figure: "moneyFactor" },
  );
  expect(level.inputs.find).toBe("yearlyRate");
});

test("a rate that is being found goes on being found when the lease is reckoned the other way", () => {
  const finding = van({ type: "find", figure: "moneyFactor", wish: "790.00" });
  const level = optionReducer(finding, { type: "lease", change: plan => reckonedBy(plan, "levelYield") });
  expect(level.inputs.find).toBe("yearlyRate");
  expect(level.answer.ok).toBe(true);
  const back = optionReducer(level, { type: "lease", change: plan => reckonedBy(plan, "moneyFactor") });
  expect(back.inputs).toEqual(finding.inputs);
});

test("it is found from another figure of the answer, which starts where it stands", () => {
  const state = van({ type: "find", figure: "residual" }, { type: "known", figure: "totalIfReturned" });
  expect(state.inputs.from).toEqual({ totalIfReturned: "28132.20" });
  expect(state.inputs.plan).not.toHaveProperty("payment");
  const less = optionReducer(state, typed("lease/known", "27,000"));
  expect(shownQuote(less)?.totalIfReturned).toBeLessThanOrEqual(2_700_000);
  const none = van({ type: "find", figure: "moneyFactor", wish: "100" });
  expect(fieldError(none, "lease/known")).toBe(
    "No money factor gives a payment of 100.00; the least is 642.22.",
  );
  const nearest = optionReducer(none, { type: "give", figure: "payment", minor: 64_222 });
  expect(shownQuote(nearest)?.moneyFactor).toBe(0);
  expect(optionReducer(less, { type: "known", figure: "payment" }).inputs).not.toHaveProperty("from");
});

test("paid at once stays so over another term", () => {
  const state = van(typed("lease/inAdvance", "all"), typed("lease/payments", "48"));
  expect(state.inputs.plan).toMatchObject({ payments: 48, inAdvance: 48 });
  expect(fieldBeside(state, "lease/payments")).toBe("4 years");
});

test("the tally stands before there is an answer, where nothing hangs on it", () => {
  const open = van(typed("lease/residual", ""), typed("down", "2,000"));
  expect(open.answer.ok).toBe(false);
  expect(shownTally(open)).toMatchObject({ amountFinanced: 3_800_000, stale: false });
  const hanging = openOption({
    ...VAN,
    plan: { ...VAN.plan, residual: undefined, taxes: [{ name: "Tax", rate: "6", on: ["sumOfPayments"] }] },
  } as DealFile);
  expect(shownTally(hanging).lines).toEqual([]);
});

test("taxes are added, changed and taken out", () => {
  const tax = { name: "City tax", rate: "1", on: ["price" as const] };
  const two = van(
    { type: "lease", change: plan => withNewLeaseTax(plan, tax) },
    typed("leaseTaxes/1/rate", "2"),
  );
  expect(shownQuote(two)?.taxes).toEqual([
    { name: "City tax", base: 4_000_000, amount: 80_000, isFinanced: true },
  ]);
  const none = [0, 0].reduce<LeaseState>(
    (state, index) => optionReducer(state, { type: "lease", change: plan => withoutLeaseTax(plan, index) }),
    two,
  );
  expect(none.inputs.plan).not.toHaveProperty("taxes");
});

test.each(LEASE_PARTS.map(part => [part.name, part] as const))(
  "the %s is added and taken out again",
  (_, part) => {
    const added = van({ type: "lease", change: part.add });
    expect(added.answer.ok).toBe(true);
    expect([part.has(VAN.plan), part.has(added.inputs.plan)]).toEqual([false, true]);
    expect(part.words(added.inputs.plan, String)).not.toBe("");
    for (const field of part.fields) expect(() => fieldText(added, field)).not.toThrow();
    expect(part.takeOut(added.inputs.plan)).toEqual(VAN.plan);
  },
);

test("a rate of at most four decimals goes to a money factor and back as it was", () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 300_000 }), tenThousandths => {
      const rate = String(tenThousandths / 10_000);
      expect(rateOfFactor(factorOfRate(rate))).toBe(rate);
    }),
  );
  expect([factorOfRate("5.4"), rateOfFactor("0.00225")]).toEqual(["0.00225", "5.4"]);
});

test("reading what a field shows changes nothing", () => {
  fc.assert(
    fc.property(leases, fc.constantFrom(...LEASE_FIELD_NAMES), (file, name) => {
      const state = openOption(file);
      const shown = fieldText(state, name);
      if (shown === "") return;
      const after = optionReducer(state, typed(name, shown));
      expect(after.errors).toEqual({});
      const [answer, again] = [state.answer, after.answer];
      if (!answer.ok) {
        expect(again).toEqual(answer);
        return;
      }
      const { deal: _, filled: __, ...figures } = answer.value as LeaseQuote;
      expect(again).toMatchObject({ ok: true, value: figures });
    }),
    { numRuns: 1000 },
  );
});

test("two versions are told apart, of two kinds, too", () => {
  const heading = { customer: named("Rosalind Tarbet"), status: "quoting" as const };
  const kept = (inputs: DealFile) =>
    documentOf(heading, { id: "11111111-1111-4111-8111-111111111111", name: "", inputs });
  const lease = describeOption(chosenOption(kept(VAN)).inputs);
  expect(lease).toMatchObject({
    Plan: "lease by money factor 0.00225; paid every month; residual due at the end; County tax 6.25 % on each payment",
    "List price": "41,850.00",
    Price: "40,000.00",
    Residual: "18,240.00",
    "Number of payments": "36 (3 years)",
    "Adjusted capitalized cost": "40,000.00",
    "Payment with tax": "781.45, found",
  });
  const { residual: _, ...open } = VAN.plan;
  const finding = describeOption(
    chosenOption(kept({ ...VAN, plan: { ...open, payment: "700" }, find: "residual" })).inputs,
  );
  expect(finding).toMatchObject({
    Residual: "21,242.99, found",
    "What it is found from": "payment with tax of 700.00",
  });
  expect(describeOption(chosenOption(kept(LOAN)).inputs).Plan).toContain("balloon 30 % of the price");
  expect(chosenOption(kept(VAN)).inputs).toBe(VAN);
});

test("a residual that was typed as a percent and became an amount is asked about", () => {
  const state = van(typed("lease/residual", "43.6"));
  expect(asideAt(state, "lease/residual").slip).toMatchObject({
    meant: "43.6 % of the price",
    take: { field: "lease/residual", text: "43.6%" },
  });
  const taken = optionReducer(state, typed("lease/residual", "43.6%"));
  expect(taken.inputs.plan).toMatchObject({ residual: { percent: "43.6" } });
  expect(asideAt(taken, "lease/residual").slip).toBeUndefined();
});
