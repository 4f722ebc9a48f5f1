import { execFile } from "node:child_process";
import { readFileSync } from "node:fs";
import { promisify } from "node:util";
import { Ajv2020 } from "ajv/dist/2020";
import { DEMO_DEALS } from "#demo/scenario";
import { evaluate } from "@/core";
import { chosenOption } from "@/exchange/deal-document";
import { isLease, readDeal } from "@/exchange/deal-file";
import { checkDealFile } from "@/exchange/deal-file/parse";
import { type LoanFile, readLoan } from "@/exchange/kinds/loan";
import { publishedSchemas } from "@/exchange/published/schemas";
import { readJson } from "@/exchange/text";
import { figuresOf } from "@/server/figures/figures-of";
import { loanInputs } from "../loan-inputs";

function parseDealFile(text: string) {
  const json = readJson(text);
  return json.ok ? checkDealFile(json.value) : json;
}

const EXAMPLE: LoanFile = {
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: {
    price: "41850.00",
    tradeIn: { allowance: "9200.00", owed: "11050.00" },
    down: { amount: "3000.00" },
  },
  plan: {
    kind: "loan",
    yearlyRate: "6.49",
    payments: 72,
    frequency: "monthly",
    rounding: "nearest",
    signed: "2026-11-24",
    firstPayment: "2026-12-24",
  },
  find: "payment",
};

const withStructure = (structure: object) => ({
  ...EXAMPLE,
  structure: { ...EXAMPLE.structure, ...structure },
});
const withPlan = (plan: object) => ({ ...EXAMPLE, plan: { ...EXAMPLE.plan, ...plan } });

function sentenceFor(file: unknown): string {
  const parsed = parseDealFile(JSON.stringify(file));
  if (!parsed.ok) return parsed.sentence;
  const deal = readDeal(parsed.value);
  if (deal.ok) throw new Error("The file reads well.");
  return deal.failure.sentence;
}

function payment(file: unknown): number {
  const parsed = parseDealFile(JSON.stringify(file));
  if (!parsed.ok) throw new Error(parsed.sentence);
  const deal = readLoan(loanInputs(parsed.value));
  const quote = deal.ok ? evaluate(deal.value) : deal;
  if (!quote.ok) throw new Error(quote.failure.sentence);
  return quote.value.payment;
}

test("the example prices; numbers and left-out parts are accepted", () => {
  expect(payment(EXAMPLE)).toBe(68_397);
  expect(payment(withStructure({ price: 41_850, down: { amount: 3000 } }))).toBe(68_397);
  expect(
    payment(withPlan({ yearlyRate: 6.49, rounding: undefined, signed: undefined, firstPayment: undefined })),
  ).toBe(68_397);
  const { tradeIn: _tradeIn, down: _down, ...bare } = EXAMPLE.structure;
  expect(payment({ ...EXAMPLE, structure: bare })).toBeGreaterThan(68_397);
});

test.each<[string, unknown]>([
  [
    'structure.price is "abc"; it must be an amount of 0 or more, such as "41850.00".',
    withStructure({ price: "abc" }),
  ],
  [
    'structure.price is -5; it must be an amount of 0 or more, such as "41850.00".',
    withStructure({ price: -5 }),
  ],
  ["structure.prise is not known.", withStructure({ prise: 1 })],
  ["structure.tradeIn.owed is missing.", withStructure({ tradeIn: { allowance: "1" } })],
  [
    "The price is 1.005; it must be an amount from 0 to 1,000,000,000 with at most 2 decimals.",
    withStructure({ price: "1.005" }),
  ],
  [
    'plan.kind is "rental"; it must be "loan", "flatRate", "equalPrincipal" or "lease".',
    withPlan({ kind: "rental" }),
  ],
  [
    "plan.payments is 72.5; it must be a whole number of payments from 1 to 1200.",
    withPlan({ payments: 72.5 }),
  ],
  [
    "The first payment date 2026-02-30 is not a date from 1900-01-01 to 2199-12-31.",
    withPlan({ firstPayment: "2026-02-30" }),
  ],
  ["The payment is being found, so the file must leave it out.", withPlan({ payment: "550" })],
  [
    "The price is being found, so the file must leave it out.",
    { ...withPlan({ payment: "550" }), find: "price" },
  ],
  ["XQZ is not a known currency; use a code of ISO 4217 such as USD.", { ...EXAMPLE, currency: "XQZ" }],
  ["version is 2; it must be 1.", { ...EXAMPLE, version: 2 }],
  ["format is missing.", {}],
  ["The data is a list; it must be of type object.", []],
])("%s", (sentence, file) => {
  expect(sentenceFor(file)).toBe(sentence);
});

test("text that is no JSON says so; a byte order mark is no obstacle", () => {
  expect(parseDealFile("{nope")).toEqual({ ok: false, sentence: "This is not JSON." });
  expect(parseDealFile(`\uFEFF${JSON.stringify(EXAMPLE)}`).ok).toBe(true);
});

test("the published schemas are the ones the app checks by, and take every demo deal", () => {
  for (const [name, text] of Object.entries(publishedSchemas())) {
    expect(readFileSync(`schemas/${name}`, "utf8")).toBe(text);
  }
  const published = (name: string) =>
    new Ajv2020({ strict: false }).compile(JSON.parse(readFileSync(`schemas/${name}.schema.json`, "utf8")));
  const [validate, validateLease] = [published("deal"), published("lease")];
  for (const deal of DEMO_DEALS) {
    const { inputs } = chosenOption(deal);
    const file = JSON.parse(JSON.stringify(inputs));
    expect([validate(file), validateLease(file)]).toEqual([!isLease(inputs), isLease(inputs)]);
  }
  expect(validate({ ...EXAMPLE, find: "residual" })).toBe(false);
});

test("the compiled checks are the ones that the schemas give", async () => {
  // In a process of its own: the compiler is no part of what runs here.
  const program =
    'import { compiledChecks } from "./scripts/compiled-checks.ts"; console.log(JSON.stringify(await compiledChecks()))';
  const { stdout } = await promisify(execFile)(
    process.execPath,
    ["--import", "tsx", "--input-type=module", "--eval", program],
    { maxBuffer: 2 ** 24 },
  );
  const written: [path: string, text: string][] = Object.entries(JSON.parse(stdout));
  // A module and its types for each layer.
  expect(written).toHaveLength(8);
  for (const [path, text] of written) expect(readFileSync(path, "utf8") === text).toBe(true);
});

test("the demo shows what it is meant to show", () => {
  const inputs = DEMO_DEALS.map(kept => chosenOption(kept).inputs);
  const quotes = inputs
    .filter(each => !isLease(each))
    .map(each => {
      const deal = readLoan(loanInputs(each));
      return deal.ok ? evaluate(deal.value) : deal;
    });
  const leases = inputs.filter(isLease).map(each => figuresOf(each).problem);
  expect(leases).toEqual([null, null, null, null]);
  expect(quotes.filter(quote => !quote.ok)).toHaveLength(1);
  expect(new Set(DEMO_DEALS.map(deal => deal.customer?.id)).size).toBe(30);
  expect(quotes.some(quote => quote.ok && quote.value.payments === 120)).toBe(true);
  expect(quotes.some(quote => quote.ok && quote.value.financeCharge === 0)).toBe(true);
});
