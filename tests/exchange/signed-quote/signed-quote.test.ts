import { readFileSync } from "node:fs";
import type { LeaseDeal, LoanDeal } from "@/core";
import { type DealFile, readDeal } from "@/exchange/deal-file";
import { leaseOfRecord } from "@/exchange/kinds/lease/record";
import { loanOfRecord } from "@/exchange/kinds/loan/record";
import { readSignedQuote, readSignedQuotes, type SignedQuote, signQuote } from "@/exchange/signed-quote";

const OPTION = "11111111-1111-4111-8111-111111111111";

/** What deals were signed with before it was a record: the core's answers, as they stand in databases and backups. */
type BeforeRecords = { inputs: DealFile; kept: { quote?: { lease?: object }; sentence?: string } };
const BEFORE: BeforeRecords[] = readFileSync("tests/exchange/signed-quote/before-records.ndjson", "utf8")
  .trim()
  .split("\n")
  .map(line => JSON.parse(line));

/** What came extra with every payment had no payments to name then. */
const withEachOf = (quote: NonNullable<BeforeRecords["kept"]["quote"]>): typeof quote =>
  JSON.parse(JSON.stringify(quote), (name, value) =>
    name === "extra" && typeof value.each === "number" ? { ...value, each: { amount: value.each } } : value,
  );

function shownOf(record: SignedQuote, inputs: DealFile): unknown {
  const deal = readDeal(inputs);
  if (!deal.ok) throw new Error(deal.failure.sentence);
  if (record.kind === "none") return record.words.sentence;
  return record.kind === "lease"
    ? leaseOfRecord(record, deal.value as LeaseDeal)
    : loanOfRecord(record, deal.value as LoanDeal);
}

test.each(BEFORE.map(each => [`${each.inputs.plan.kind}, finding ${each.inputs.find}`, each] as const))(
  "what was signed before records is read and shown as it was: %s",
  (_, { inputs, kept }) => {
    const read = readSignedQuote(kept);
    if (!read.ok) throw new Error(read.sentence);
    const shown = shownOf(read.value, inputs);
    const { lease, ...figures } = withEachOf(kept.quote ?? {});
    if (kept.quote) expect(shown).toMatchObject({ ...figures, ...(lease && { deal: lease }) });
    else expect(shown).toBe(kept.sentence);
  },
);

/** Every member of some data, by its path; of a list the first. */
function pathsOf(value: unknown, path: string[] = []): string[][] {
  if (typeof value !== "object" || value === null) return path.length > 0 ? [path] : [];
  const members = Array.isArray(value) ? Object.entries(value).slice(0, 1) : Object.entries(value);
  return [
    ...(path.length > 0 && !/^\d+$/.test(path.at(-1) ?? "") ? [path] : []),
    ...members.flatMap(([name, member]) => pathsOf(member, [...path, name])),
  ];
}

function changed(record: SignedQuote, path: string[], change: (parent: object, name: string) => void) {
  const copy = JSON.parse(JSON.stringify(record));
  const name = path.at(-1) ?? "";
  change(
    path.slice(0, -1).reduce((at, each) => at[each], copy),
    name,
  );
  return copy;
}

/** What an answer need not have. */
const OPTIONAL = new Set([
  "agreed.balloon",
  "agreed.extraEach",
  "agreed.extraOnce",
  "figures.cashReceived",
  "rates.trueYearlyRate",
  "rates.credit",
  "rates.effectiveRate",
  "withPayments",
  "saved",
  "words.note",
  "words.sentence",
  "agreed.down.of",
]);

/** What an answer of another kind need not have. */
const MUST = new Set(["lease withPayments", "none words.sentence"]);

const records = BEFORE.map(({ inputs }) => signQuote(OPTION, inputs));

test("a record in which anything is missing, or of another kind, is not shown: no figure of it can be none", () => {
  const seen = new Set<string>();
  for (const [index, record] of records.entries()) {
    for (const path of pathsOf(record)) {
      const place = path.filter(name => !/^\d+$/.test(name)).join(".");
      const without = changed(record, path, (parent, name) => Reflect.deleteProperty(parent, name));
      const isOptional =
        OPTIONAL.has(place) && path.join(".") === place && !MUST.has(`${record.kind} ${place}`);
      expect([place, readSignedQuote(without).ok]).toEqual([place, isOptional]);
      const wrong = changed(record, path, (parent, name) => Object.assign(parent, { [name]: [Number.NaN] }));
      expect([place, readSignedQuote(wrong).ok]).toEqual([place, false]);
      seen.add(`${record.kind} ${place}`);
      if (isOptional)
        expect(JSON.stringify(shownOf(without, (BEFORE[index] as BeforeRecords).inputs))).not.toContain(
          "NaN",
        );
    }
    expect(readSignedQuote({ ...record, more: 1 }).ok).toBe(false);
  }
  expect(seen.size).toBeGreaterThan(120);
});

test("what cannot be read is said of its option, and the others are shown", () => {
  const [first, second] = records as [SignedQuote, SignedQuote];
  const { figures: _, ...damaged } = first as Extract<SignedQuote, { kind: "loan" }>;
  for (const [stored, why] of [
    [damaged, "figures is missing."],
    [{ optionId: OPTION, quote: { kind: "loan" } }, "It is of no form that was ever kept."],
    [{ optionId: OPTION }, ""],
    [null, ""],
  ] as const) {
    const [read, other] = readSignedQuotes([stored, second]);
    expect(read).toMatchObject({ kind: "none" });
    expect(JSON.stringify(read)).toContain(`What this option was signed with cannot be read: ${why}`);
    expect(other).toEqual(second);
  }
});
