import fc from "fast-check";
import { type DealDocument, isSame, mergeFigures } from "@/exchange/deal-document";
import type { LoanFile } from "@/exchange/kinds/loan";
import { named } from "../named";

const OPTION = "11111111-1111-4111-8111-111111111111";
const OTHER = "22222222-2222-4222-8222-222222222222";

const inputs: LoanFile = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: { price: "30000.00", down: { amount: "2000.00" }, fees: [{ name: "Title", amount: "85.00" }] },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6.49", payments: 72 },
  find: "payment",
};

const deal = (change: (inputs: LoanFile) => LoanFile, heading: Partial<DealDocument> = {}): DealDocument => ({
  customer: named("Nerys Holloway"),
  status: "quoting",
  chosen: OPTION,
  options: [{ id: OPTION, name: "", inputs: change(structuredClone(inputs)) }],
  ...heading,
});
const base = deal(now => now);
const put = (structure: Partial<LoanFile["structure"]>, plan: Partial<LoanFile["plan"]> = {}) =>
  deal(now => ({ ...now, structure: { ...now.structure, ...structure }, plan: { ...now.plan, ...plan } }));

const CHANGES: Record<string, DealDocument> = {
  price: put({ price: "31000.00" }),
  down: put({ down: { amount: "3000.00" } }),
  rate: put({}, { yearlyRate: "5.9" }),
  payments: put({}, { payments: 60 }),
  fees: put({ fees: [{ name: "Title", amount: "95.00" }] }),
  balloon: put({}, { balloon: { amount: "5000.00" } }),
  customer: deal(now => now, { customer: named("Nerys Vale") }),
  status: deal(now => now, { status: "agreed" }),
};

test("different figures of one option, or of the heading, are both kept, whoever saves second", () => {
  const names = Object.keys(CHANGES);
  fc.assert(
    fc.property(fc.constantFrom(...names), fc.constantFrom(...names), (one, two) => {
      const [mine, theirs] = [CHANGES[one], CHANGES[two]] as [DealDocument, DealDocument];
      const both = mergeFigures(base, mine, theirs);
      expect(both).toEqual(mergeFigures(base, theirs, mine));
      if (one === two) expect(both).toEqual(mine);
      // What one of them takes back again leaves what the other did.
      else expect(mergeFigures(theirs, base, both as DealDocument)).toEqual(mine);
    }),
  );
  const both = mergeFigures(base, CHANGES.price as DealDocument, CHANGES.rate as DealDocument);
  const { structure, plan } = both?.options[0]?.inputs ?? inputs;
  expect([structure.price, structure.down, (plan as LoanFile["plan"]).yearlyRate]).toEqual([
    "31000.00",
    { amount: "2000.00" },
    "5.9",
  ]);
});

test("the same figure is nobody's to choose: a figure, a list of lines, a name, a status", () => {
  const same: [DealDocument, DealDocument][] = [
    [put({ price: "31000.00" }), put({ price: "32000.00" })],
    [put({ price: "31000.00" }), put({ price: undefined })],
    [
      put({ fees: [{ name: "Title", amount: "95.00" }] }),
      put({
        fees: [
          { name: "Title", amount: "85.00" },
          { name: "Plates", amount: "40.00" },
        ],
      }),
    ],
    // Called the same, but not the same: who it is and what they are called are one figure.
    [
      deal(now => now, { customer: { ...named("Ida"), name: "Nerys Holloway" } }),
      deal(now => now, { customer: { ...named("Nerys Holloway"), name: "Nerys Vale" } }),
    ],
    [deal(now => now, { customer: named("Ida") }), deal(now => now, { customer: named("Nerys Vale") })],
  ];
  for (const [mine, theirs] of same) expect(mergeFigures(base, mine, theirs)).toBeNull();
});

test("what is found, from what, and the figure that is found are one figure", () => {
  const findsPrice = deal(({ structure: { price: _price, ...structure }, ...now }) => ({
    ...now,
    structure,
    plan: { ...now.plan, payment: "500.00" },
    find: "price",
  }));
  expect(mergeFigures(base, findsPrice, put({ price: "31000.00" }))).toBeNull();
  const both = mergeFigures(base, findsPrice, put({}, { yearlyRate: "5.9" }));
  expect(both?.options[0]?.inputs).toMatchObject({
    find: "price",
    plan: { payment: "500.00", yearlyRate: "5.9" },
  });
});

test("an option that one takes out and the other changes is asked about; one more is kept", () => {
  const option = (id: string, rate: string) => ({
    id,
    name: "",
    inputs: { ...inputs, plan: { ...inputs.plan, yearlyRate: rate } },
  });
  const two = { ...base, options: [option(OPTION, "6.49"), option(OTHER, "5.9")] };
  const changed = { ...two, options: [option(OPTION, "6.49"), option(OTHER, "4.9")] };
  expect(mergeFigures(two, base, changed)).toBeNull();
  expect(mergeFigures(base, two, CHANGES.price as DealDocument)?.options).toHaveLength(2);
  const untouched = mergeFigures(two, base, CHANGES.customer as DealDocument);
  expect(untouched === null || isSame(untouched.options, base.options)).toBe(true);
});
