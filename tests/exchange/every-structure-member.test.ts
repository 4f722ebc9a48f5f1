// Each member that a structure can have, in every place that tells of it or counts it: one that is forgotten is seen here.
import type { LeaseDeal, LoanDeal } from "@/core";
import { evaluate, evaluateLease } from "@/core";
import { type DealFile, readDeal } from "@/exchange/deal-file";
import { figuresInWords } from "@/exchange/option-words";
import type { StructureFile } from "@/exchange/structure";
import { StructureSchema } from "@/exchange/structure/structure.schema";
import { fieldText } from "@/features/deal/option";
import { LINES, MEMBERS, type Member } from "../every-member";
import { openOption } from "../features/load-desk";

const KINDS = ["loan", "personal", "lease"] as const;
type Kind = (typeof KINDS)[number];

function inputsOf(kind: Kind, sample: Partial<StructureFile> = {}): DealFile {
  const structure = {
    price: "20000.00",
    ...(kind === "personal" && { purpose: "Kitchen refit" }),
    ...sample,
  };
  const file = { format: "kellux-deal", version: 1, currency: "USD", structure, find: "payment" } as const;
  const terms = { frequency: "monthly", payments: 36 } as const;
  return kind === "lease"
    ? {
        ...file,
        plan: {
          kind,
          reckoning: "moneyFactor",
          moneyFactor: "0.002",
          residual: { amount: "9000" },
          ...terms,
        },
      }
    : { ...file, plan: { kind: "loan", yearlyRate: "6", ...terms } };
}

/** The tally, and what it leads to; or why there is none. */
function talliedOf(inputs: DealFile) {
  const deal = readDeal(inputs);
  if (!deal.ok) return { sentence: deal.failure.sentence };
  if (inputs.plan.kind === "lease") {
    const quote = evaluateLease(deal.value as LeaseDeal);
    if (!quote.ok) return { sentence: quote.failure.sentence };
    return { lines: quote.value.lines, sum: quote.value.cost, received: undefined };
  }
  const quote = evaluate(deal.value as LoanDeal);
  if (!quote.ok) return { sentence: quote.failure.sentence };
  return { lines: quote.value.lines, sum: quote.value.loanAmount, received: quote.value.cashReceived };
}

const NAMES = Object.keys(MEMBERS) as (keyof StructureFile)[];
const isThere = ({ sample: _, ...member }: Member, kind: Kind) => typeof member[kind] === "number";

test("every member of the schema, and of its lines, is among those that are looked for", () => {
  expect(Object.keys(StructureSchema.properties).sort()).toEqual([...NAMES].sort());
  for (const [list, { members }] of Object.entries(LINES)) {
    const { items } = StructureSchema.properties[list as keyof typeof LINES];
    expect([list, Object.keys(items.properties).sort()]).toEqual([list, Object.keys(members).sort()]);
  }
});

test.each(NAMES.flatMap(name => KINDS.map(kind => [name, kind] as const)))(
  "%s counts in a %s as it should, and its tally leads to what it comes to",
  (name, kind) => {
    const member = MEMBERS[name];
    const before = talliedOf(inputsOf(kind));
    const after = talliedOf(inputsOf(kind, member.sample));
    const counts = member[kind];
    if (typeof counts !== "number") return expect(after.sentence).toMatch(counts);
    expect(after.sum).toBe((before.sum ?? 0) + counts);
    expect(after.lines?.at(-1)?.running).toBe(after.sum);
    let running = 0;
    for (const line of after.lines ?? []) {
      running += line.sign * line.amount;
      expect(line.running).toBe(running);
    }
    if (kind === "personal")
      expect(after.received).toBe(
        (before.received ?? 0) +
          (name === "payoffs" ? -888_88 : name === "fees" || name === "extras" ? 0 : counts),
      );
  },
);

test.each(
  NAMES.flatMap(name =>
    KINDS.filter(kind => isThere(MEMBERS[name], kind)).map(kind => [name, kind] as const),
  ),
)("%s of a %s is told in words, and stands in its field", (name, kind) => {
  const { sample, said, fields } = MEMBERS[name];
  const inputs = inputsOf(kind, sample);
  const words = figuresInWords(inputs).flat().join(" ");
  // A loan keeps the list price of the lease that it was, and a lease the taxes of the loan; nothing is made of them.
  const isKeptOnly = kind === "lease" ? name === "taxes" || name === "taxIncluded" : name === "listPrice";
  if (isKeptOnly) return expect(words).not.toContain(said[0]);
  for (const text of said) expect(words).toContain(text);
  const state = openOption(inputs);
  for (const [field, text] of Object.entries(fields))
    expect([field, fieldText(state, field as Parameters<typeof fieldText>[1])]).toEqual([field, text]);
});

test.each(Object.entries(LINES))(
  "each member of a line of %s is told in words",
  (list, { line, members }) => {
    const wordsWith = (change: object) =>
      JSON.stringify(figuresInWords(inputsOf("loan", { [list]: [{ ...line, ...change }] })));
    for (const [name, change] of Object.entries(members)) {
      // By its id the dealer's side knows a line again; nobody reads it.
      if (name === "id") continue;
      expect([name, wordsWith(change)]).not.toEqual([name, wordsWith({})]);
    }
  },
);
