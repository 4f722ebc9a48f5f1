import { priceFile } from "@/exchange/answers/price-file";
import type { DealDocument } from "@/exchange/deal-document";
import type { LeaseFile } from "@/exchange/kinds/lease";
import type { LoanFile } from "@/exchange/kinds/loan";
import { changePhrase, changesInWords, proposedNames } from "@/exchange/option-words";
import { wholeDealOf } from "@/exchange/whole-deal";
import { parseDealDocument } from "@/exchange/whole-deal/parse-document";
import { named } from "../named";

const LOAN = {
  structure: {
    price: "41850.00",
    tradeIn: { allowance: "9200.00", owed: "11050.00" },
    down: { amount: "3000.00" },
  },
  plan: { kind: "loan", yearlyRate: "6.49", payments: 72, frequency: "monthly", signed: "2026-11-24" },
  find: "payment",
};

const deal = (options: object[], members: object = {}) => ({
  format: "kellux-deal",
  version: 2,
  currency: "USD",
  ...members,
  options,
});

const answer = (file: object, option?: number) => {
  const priced = priceFile(JSON.stringify(file), true, option);
  return priced.ok ? priced.answer : priced.sentence;
};

test("each option of a deal file has its own answer, and what has none refuses no other", () => {
  const wrong = { ...LOAN, name: "Too little", plan: { ...LOAN.plan, payments: 0 } };
  const never = { ...LOAN, name: "Never paid", find: "price", plan: { ...LOAN.plan, payment: "0.01" } };
  const file = deal([{ ...LOAN, name: "72 payments" }, wrong, never, { ...LOAN, currency: "EUR" }]);
  const alone = answer({ format: "kellux-deal", version: 1, currency: "USD", ...LOAN });
  expect(answer(file)).toEqual({
    options: [
      { name: "72 payments", ...(alone as object) },
      { name: "Too little", error: expect.stringContaining("plan.payments is 0; it must be") },
      { name: "Never paid", error: "The price is being found, so the file must leave it out." },
      { name: "Option 4", error: "currency is not known." },
    ],
  });
  expect(answer(file, 1)).toEqual(alone);
  expect(answer(file, 2)).toContain("plan.payments is 0");
  expect(answer(file, 5)).toBe("There is no option 5: the deal has 4 options.");
});

test("what is wrong with the deal itself is said once for all of it", () => {
  expect(answer(deal([]))).toBe("options is a list; it must be a list of 1 to 8 options.");
  expect(answer(deal(Array(9).fill(LOAN)))).toBe("options is a list; it must be a list of 1 to 8 options.");
  expect(answer(deal([LOAN], { chosen: 2 }))).toBe(
    "chosen is 2; it must be the number of one of the options.",
  );
  expect(answer(deal([LOAN], { chosen: 0 }))).toContain("chosen is 0; it must be the number of an option");
  expect(answer(deal([LOAN], { status: "sold" }))).toContain('status is "sold"; it must be');
  expect(answer(deal([LOAN], { budget: "-5" }))).toContain('budget is "-5"; it must be an amount');
  expect(answer({ ...deal([LOAN]), version: 3 })).toBe("version is 3; it must be 1 or 2.");
});

const loanInputs = () => ({ format: "kellux-deal", version: 1, currency: "USD", ...LOAN }) as LoanFile;
const leaseInputs = () =>
  ({
    ...loanInputs(),
    plan: {
      kind: "lease",
      reckoning: "moneyFactor",
      moneyFactor: "0.00225",
      payments: 36,
      frequency: "monthly",
    },
  }) as LeaseFile;

let ids = 0;
const newId = () => `00000000-0000-4000-8000-${String(++ids).padStart(12, "0")}`;

test("a deal comes back from its file as it was", () => {
  const options = [
    { id: newId(), name: "", inputs: loanInputs() },
    { id: newId(), name: "Lease it", inputs: leaseInputs() },
  ];
  const document: DealDocument = {
    customer: named("Idris Vantongeren"),
    vehicle: named("Larkmoor 240 campervan, stock 1187"),
    status: "agreed",
    budget: "600.00",
    chosen: options[1]?.id ?? "",
    options,
  };
  const file = wholeDealOf(document);
  expect(file).toMatchObject({
    version: 2,
    chosen: 2,
    budget: "600.00",
    customer: "Idris Vantongeren",
    vehicle: "Larkmoor 240 campervan, stock 1187",
  });
  const back = parseDealDocument(JSON.stringify(file), newId);
  if (!back.ok) throw new Error(back.sentence);
  expect(wholeDealOf({ ...back.value.document })).toEqual(file);
});

test("a deal is not brought in without one of its options", () => {
  const text = JSON.stringify(deal([LOAN, { ...LOAN, find: "price", structure: { price: "1.00" } }]));
  expect(parseDealDocument(text, newId)).toEqual({
    ok: false,
    sentence: "Option 2: The price is being found, so the file must leave it out.",
  });
});

test("names are proposed from what differs", () => {
  const inputs = loanInputs();
  const of = (payments: number, change: object = {}) => ({
    name: "",
    inputs: { ...inputs, structure: { ...inputs.structure, ...change }, plan: { ...inputs.plan, payments } },
  });
  expect(proposedNames([of(72)])).toEqual(["72 monthly"]);
  expect(proposedNames([of(72), of(60)])).toEqual(["72 monthly", "60 monthly"]);
  expect(
    proposedNames([of(72), of(60, { down: { amount: "9000" } }), of(72, { down: { percent: "10" } })]),
  ).toEqual(["72 monthly, 3,000.00 down", "60 monthly, 9,000.00 down", "72 monthly, 10 % of the price down"]);
  expect(proposedNames([of(72), of(72), { ...of(72), name: "The usual" }])).toEqual([
    "72 monthly",
    "72 monthly (2)",
    "The usual",
  ]);
  const rebated = of(72, { rebates: [{ name: "Maker's rebate", amount: "1800" }] });
  expect(proposedNames([rebated, of(72), { name: "", inputs: leaseInputs() }])).toEqual([
    "72 monthly, Maker's rebate 1,800.00",
    "72 monthly, no rebate",
    expect.stringMatching(/^Lease, \d+ monthly/),
  ]);
});

test("what changed in a deal is said figure by figure", () => {
  const inputs = loanInputs();
  const option = { id: newId(), name: "", inputs };
  const before: DealDocument = {
    status: "quoting",
    chosen: option.id,
    options: [option],
  };
  const after = (change: Partial<typeof inputs>) => ({
    ...before,
    options: [{ ...option, inputs: { ...inputs, ...change } }],
  });
  const said = (one: DealDocument, other: DealDocument) =>
    changesInWords(one, other).map(each => changePhrase(each));
  expect(said(before, after({ structure: { ...inputs.structure, down: { amount: "4500" } } }))).toEqual([
    "cash down 3,000.00 → 4,500.00",
  ]);
  expect(said(before, after({ plan: { ...inputs.plan, balloon: { amount: "12000" } } }))).toEqual([
    "balloon 12,000.00",
  ]);
  expect(said(after({ plan: { ...inputs.plan, balloon: { amount: "12000" } } }), before)).toEqual([
    "balloon 12,000.00 removed",
  ]);
  expect(said(before, { ...before, customer: named("Ida"), status: "agreed" })).toEqual([
    "customer Ida",
    "status quoting → agreed",
  ]);
  const second = { id: newId(), name: "", inputs: { ...inputs, plan: { ...inputs.plan, payments: 60 } } };
  const two = { ...before, options: [option, second] };
  expect(said(before, two)).toEqual(["option “60 monthly” added"]);
  expect(said(two, before)).toEqual(["option “60 monthly” deleted"]);
  expect(said(two, { ...two, chosen: second.id })).toEqual(["chosen 72 monthly → 60 monthly"]);
  expect(said(two, { ...two, options: [second, option] })).toEqual(["order 60 monthly · 72 monthly"]);
});
