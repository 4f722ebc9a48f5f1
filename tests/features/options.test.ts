import { type DealDocument, type DealOption, mergeInputs } from "@/exchange/deal-document";
import type { LoanFile } from "@/exchange/kinds/loan";
import { notationOf } from "@/exchange/notation";
import {
  type DeskAction,
  type DeskState,
  deskDocument,
  deskReducer,
  openedOption,
} from "@/features/deal/desk/desk-state";
import { keepSteps, keptSteps } from "@/features/deal/desk/kept-steps";
import { askedOf } from "@/features/deal/kinds/asked";
import { listOf } from "@/features/deal/options/list-of";
import {
  alsoChanged,
  withChosen,
  withCopyOf,
  withName,
  withOptionMoved,
  withoutOption,
} from "@/features/deal/options/option-changes";
import { overTerms, withPercentsDown } from "@/features/deal/options/usual-options";
import { named } from "../named";
import { KINDS, openDesk } from "./load-desk";

const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`;
const inputs: LoanFile = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "41850.00", down: { amount: "3000.00" } },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72, signed: "2026-11-24" },
  find: "payment",
};
const first: DealOption = { id: id(1), name: "", inputs };
const deal: DealDocument = {
  customer: named("Ida"),
  status: "quoting",
  chosen: id(1),
  options: [first],
};

const after = (state: DeskState, ...actions: DeskAction[]) => actions.reduce(deskReducer, state);
const typed = (field: "price" | "down", text: string): DeskAction => ({
  type: "option",
  action: { type: "typed", field, text },
});
const left = (field: "price" | "down"): DeskAction => ({ type: "option", action: { type: "left", field } });
const edit = (change: (document: DealDocument) => DealDocument, open?: string): DeskAction => ({
  type: "document",
  change,
  ...(open && { open }),
});

test("options are copied, moved, chosen and deleted; the chosen one and the last have a successor", () => {
  const two = withCopyOf(id(1), id(2))(deal);
  expect(two.options.map(option => option.id)).toEqual([id(1), id(2)]);
  expect(withOptionMoved(id(1), 1)(two).options.map(option => option.id)).toEqual([id(2), id(1)]);
  expect(withOptionMoved(id(1), 9)(two).options.map(option => option.id)).toEqual([id(2), id(1)]);
  expect(withOptionMoved(id(1), -1)(two)).toEqual(two);
  expect(withoutOption(id(1))(withChosen(id(1))(two))).toEqual({
    ...deal,
    chosen: id(2),
    options: [two.options[1]],
  });
  expect(withoutOption(id(1))(deal)).toEqual(deal);
  const full = [2, 3, 4, 5, 6, 7, 8, 9].reduce((now, n) => withCopyOf(id(1), id(n))(now), deal);
  expect(full.options).toHaveLength(8);
});

test("a change in all options reaches each, but for what one of them is looking for", () => {
  const cheaper = { ...inputs, structure: { ...inputs.structure, price: "40000.00" } };
  const other = { ...inputs, plan: { ...inputs.plan, payments: 60 } };
  expect(alsoChanged(inputs, cheaper, other)).toEqual({ ...other, structure: cheaper.structure });
  const findingPrice: LoanFile = {
    ...other,
    find: "price",
    structure: { down: { amount: "3000.00" } },
    plan: { ...other.plan, payment: "600.00" },
  };
  expect(alsoChanged(inputs, cheaper, findingPrice)).toBe(findingPrice);
  const without = { ...inputs, structure: { price: "41850.00" } };
  expect(alsoChanged(inputs, without, other).structure).toEqual({ price: "41850.00" });
  const lease = {
    ...inputs,
    plan: { kind: "lease", reckoning: "levelYield", frequency: "monthly" },
  } as never;
  expect(alsoChanged(inputs, { ...inputs, plan: { ...inputs.plan, payments: 48 } }, lease)).toBe(lease);

  const desk = after(openDesk(deal), edit(withCopyOf(id(1), id(2)), id(2)), {
    type: "spread",
    spread: alsoChanged,
  });
  const priced = after(desk, typed("price", "40,000"));
  expect(deskDocument(priced).options.map(option => option.inputs.structure.price)).toEqual([
    "40000.00",
    "40000.00",
  ]);
  expect(priced.options.map(({ state }) => state.answer.ok && state.answer.value.price)).toEqual([
    4_000_000, 4_000_000,
  ]);
});

test("a list is parted as people of the place part it", () => {
  expect(listOf("10, 12.5;20 30", notationOf("en-US"))).toEqual(["10", "12.5", "20", "30"]);
  expect(listOf("10, 12,5; 20 30", notationOf("de-DE"))).toEqual(["10", "12,5", "20", "30"]);
  expect(listOf(" ", notationOf("de-DE"))).toEqual([]);
});

test("the usual options are those that are not there yet", () => {
  const payments = (made: ReturnType<typeof overTerms>) =>
    made.ok && made.options.map(({ plan }) => plan.payments);
  expect(payments(overTerms(inputs, [48, 60, 72, 84]))).toEqual([48, 60, 84]);
  expect(overTerms({ ...inputs, find: "payments" }, [48])).toMatchObject({ ok: false });
  const down = withPercentsDown({ ...inputs, structure: { price: "41850.00", down: { percent: "20" } } }, [
    "10",
    "20",
    "30",
  ]);
  expect(down.ok && down.options.map(({ structure }) => structure.down)).toEqual([
    { percent: "10" },
    { percent: "30" },
  ]);
  const balloon = askedOf(inputs).withOrWithoutBalloon(inputs, "30");
  expect(balloon.ok && balloon.options).toEqual([
    { ...inputs, plan: { ...inputs.plan, balloon: { percent: "30" } } },
  ]);
  const [withIt] = balloon.ok ? balloon.options : [];
  if (!withIt) throw new Error("There is no option with a balloon.");
  expect(askedOf(inputs).withOrWithoutBalloon(withIt, "30")).toEqual({ ok: true, options: [inputs] });
  const offer = askedOf(inputs).rebateOrLowRate(inputs, { rebate: "1800.00", lowRate: "1.9" });
  expect(offer.ok && offer.options).toMatchObject([
    { structure: { rebates: [{ amount: "1800.00" }] }, plan: { yearlyRate: "6.49" } },
    { plan: { yearlyRate: "1.9" } },
  ]);
});

test("typing in one field is one step; each change is undone and done again, over all options", () => {
  let desk = after(
    openDesk(deal),
    typed("price", "4"),
    typed("price", "40"),
    typed("price", "40000"),
    left("price"),
  );
  expect(desk.steps.past).toHaveLength(1);
  desk = after(
    desk,
    typed("price", "39000"),
    left("price"),
    edit(withCopyOf(id(1), id(2)), id(2)),
    typed("down", "5000"),
  );
  expect(desk.steps.past).toHaveLength(4);
  const newest = deskDocument(desk);
  desk = after(desk, { type: "undo" });
  expect(openedOption(desk).inputs.structure.down).toEqual({ amount: "3000.00" });
  desk = after(desk, { type: "undo" });
  expect(desk.options).toHaveLength(1);
  expect(desk.open).toBe(id(1));
  desk = after(desk, { type: "undo" }, { type: "undo" });
  expect(deskDocument(desk)).toEqual(deal);
  expect(after(desk, { type: "undo" })).toBe(desk);
  desk = after(desk, { type: "redo" }, { type: "redo" }, { type: "redo" }, { type: "redo" });
  expect(deskDocument(desk)).toEqual(newest);
  // A new change forgets what could have been done again.
  desk = after(desk, { type: "undo" }, { type: "heading", change: { customer: named("Ida F") } });
  expect(desk.steps.future).toEqual([]);
});

test("what was typed and taken back is no step, and what cannot be read is none", () => {
  const desk = after(
    openDesk(deal),
    typed("price", "418500"),
    typed("price", "41850.00"),
    typed("down", "abc"),
  );
  expect(desk.steps.past).toEqual([]);
  expect(openedOption(desk).errors.down).toBeDefined();
  // Undo takes it away first.
  const undone = after(desk, typed("price", "39000"), typed("down", "abc"), { type: "undo" });
  expect(openedOption(undone).typed).toEqual({});
  expect(openedOption(undone).inputs.structure.price).toBe("39000.00");
});

test("at least 200 steps are kept; none crosses a change that came from another page", () => {
  let desk = openDesk(deal);
  for (let n = 1; n <= 250; n++) desk = after(desk, typed("price", String(40_000 + n)), left("price"));
  expect(desk.steps.past.length).toBeGreaterThanOrEqual(200);
  for (let n = 0; n < 200; n++) desk = after(desk, { type: "undo" });
  expect(openedOption(desk).inputs.structure.price).toBe("40050.00");
  const merged = after(desk, {
    type: "merged",
    change: { heading: { customer: named("Ola"), status: "agreed" } },
    mergeInputs,
    kinds: KINDS,
  });
  expect(merged.steps).toEqual({ past: [], future: [] });
  expect(merged.heading.customer?.name).toBe("Ola");
});

test("the steps outlive a reload of the page", () => {
  const kept = new Map<string, string>();
  Object.assign(globalThis, {
    sessionStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, text: string) => kept.set(key, text),
      removeItem: (key: string) => kept.delete(key),
    },
  });
  let desk = after(
    openDesk(deal),
    edit(withCopyOf(id(1), id(2)), id(2)),
    edit(withName(id(2), "Longer")),
    typed("down", "1"),
  );
  desk = after(desk, { type: "undo" });
  keepSteps("a deal", { present: deskDocument(desk), steps: desk.steps });
  const back = keptSteps("a deal");
  expect(back?.present).toEqual(deskDocument(desk));
  const plain = ({ past, future }: DeskState["steps"]) =>
    JSON.parse(
      JSON.stringify([past, future].map(steps => steps.map(({ document, open }) => ({ document, open })))),
    );
  expect(back && plain(back.steps)).toEqual(plain(desk.steps));
  // 200 steps of a small deal take little room.
  for (let n = 1; n <= 200; n++) desk = after(desk, typed("price", String(30_000 + n)), left("price"));
  keepSteps("a deal", { present: deskDocument(desk), steps: desk.steps });
  expect([...kept.values()].join("").length).toBeLessThan(200_000);
});

test("what cannot be read in one option is taken back in all that are changed with it", () => {
  const two = { ...deal, options: [first, { ...first, id: id(2), name: "Other" }] };
  const typed = (text: string): DeskAction => ({
    type: "option",
    action: { type: "typed", field: "yearlyRate", text },
  });
  const rates = (state: DeskState) =>
    deskDocument(state).options.map(({ inputs: { plan } }) => (plan as LoanFile["plan"]).yearlyRate);
  const spread = after(openDesk(two), { type: "spread", spread: alsoChanged });
  const begun = after(spread, typed("5"));
  expect(rates(begun)).toEqual(["5", "5"]);
  const unread = after(begun, typed("5,"), typed("5,9"));
  expect(rates(unread)).toEqual(["6.49", "6.49"]);
  expect(rates(after(unread, typed("5.9")))).toEqual(["5.9", "5.9"]);
});
