import fc from "fast-check";
import { evaluate } from "@/core";
import { chosenOption } from "@/exchange/deal-document";
import { type LoanFile, readLoan } from "@/exchange/kinds/loan";
import { newDealDocument } from "@/exchange/new-deal/new-deal";
import { type FieldName, STRUCTURE_FIELD_NAMES } from "@/features/deal/fields";
import { PLAN_FIELD_NAMES } from "@/features/deal/kinds/loan/fields/plan-fields";
import { PLAN_PART_FIELD_NAMES } from "@/features/deal/kinds/loan/fields/plan-part-fields";
import { fieldIn, fieldText, isFoundIn } from "@/features/deal/option";
import { loanInputs } from "../loan-inputs";
import { runs } from "../runs";
import { openOption } from "./load-desk";

const EMPTY = loanInputs(chosenOption(newDealDocument("2026-11-24")).inputs);

/** What is typed in a field, read into a deal. */
const readField = (field: FieldName, text: string, file: LoanFile) =>
  fieldIn(openOption(file), field).read(text.trim(), file);

function read(field: FieldName, text: string, file = EMPTY) {
  const reading = readField(field, text, file);
  return reading.ok ? { ...reading.file.structure, ...reading.file.plan } : reading.sentence;
}

test.each([
  ["41850", "41850.00"],
  ["41,850.5", "41850.50"],
  ["$41,850.00", "41850.00"],
  [" 41 850 ", "41850.00"],
  ["USD 41,850", "41850.00"],
  ["€41850", "41850.00"],
  [".5", "0.50"],
  ["0", "0.00"],
])("an amount may be typed %j", (text, price) => {
  expect(read("price", text)).toMatchObject({ price });
});

test.each([
  ["4,18", "“4,18” is not an amount; type one such as 41,850.00."],
  ["abc123", "“abc123” is not an amount; type one such as 41,850.00."],
  ["x5", "“x5” is not an amount; type one such as 41,850.00."],
  ["4 1", "“4 1” is not an amount; type one such as 41,850.00."],
  ["abc", "“abc” is not an amount; type one such as 41,850.00."],
  ["-500", "Leave the sign out: each line is added or taken off by itself."],
  ["(500)", "Leave the sign out: each line is added or taken off by itself."],
  ["1.005", "USD has 2 decimals; “1.005” has more."],
  ["99999999999", "The largest amount is 1,000,000,000."],
])("%j is no amount and says why", (text, sentence) => {
  expect(read("price", text)).toBe(sentence);
});

test.each([
  ["payments", "72", 72],
  ["payments", "6y", 72],
  ["payments", "5 y 10 m", 70],
  ["payments", "6 years", 72],
  ["payments", "5.5 y", 66],
  ["payments", "0.25y", 3],
  ["payments", "18 months", 18],
] as const)("in %s, %j are %i payments", (field, text, payments) => {
  expect(read(field, text)).toMatchObject({ payments });
});

test.each([
  ["payments", "0", "0 is not a possible number of payments; it can be 1 to 1,200."],
  ["payments", "72.5", "“72.5” is not a whole number of monthly payments."],
  ["payments", "1201", "1201 is not a possible number of payments; it can be 1 to 1,200."],
  ["payments", "5.83 y", "“5.83 y” is not a whole number of monthly payments."],
  ["payments", "soon", "“soon” is not a term; type 72, or 6 y for years."],
  ["yearlyRate", "6.4x", "“6.4x” is not a yearly rate; type a percent from 0 to 1,000, such as 6.49."],
  ["yearlyRate", "1001", "“1001” is not a yearly rate; type a percent from 0 to 1,000, such as 6.49."],
  ["down", "101%", "“101%” is not a percent of the price; type one from 0 to 100, such as 15."],
  ["signed", "2026-02-30", "Type a date such as 24 Nov, 24 Nov 2027 or +3 weeks, from 1900 to 2199."],
] as const)("in %s, %j says why it cannot be", (field, text, sentence) => {
  expect(read(field, text)).toBe(sentence);
});

test("clearing a field takes its figure out", () => {
  const reading = readField("price", "41,850", EMPTY);
  if (!reading.ok) throw new Error(reading.sentence);
  expect(read("price", "", loanInputs(reading.file))).not.toHaveProperty("price");
});

/** Files as they come from anywhere: amounts as numbers or text, figures missing, every frequency. */
const files: fc.Arbitrary<LoanFile> = fc
  .record({
    currency: fc.constantFrom("USD", "JPY", "KWD"),
    price: fc.integer({ min: 0, max: 90_000 }),
    asText: fc.boolean(),
    tradeIn: fc.option(
      fc.record({ allowance: fc.integer({ max: 9000, min: 0 }), owed: fc.integer({ max: 9000, min: 0 }) }),
    ),
    down: fc.option(
      fc.oneof(
        fc.record({ percent: fc.constantFrom("0", "12.5", "100") }),
        fc.record({ amount: fc.integer({ min: 0, max: 20_000 }) }),
      ),
    ),
    yearlyRate: fc.option(fc.oneof(fc.constantFrom("6", "6.490", "0.00000001"), fc.constantFrom(0, 6.5))),
    payments: fc.option(fc.integer({ min: 1, max: 1200 })),
    frequency: fc.constantFrom<LoanFile["plan"]["frequency"]>(
      "weekly",
      "everyTwoWeeks",
      "twiceAMonth",
      "monthly",
      "quarterly",
      "yearly",
    ),
    payment: fc.integer({ min: 1, max: 5000 }),
    signed: fc.option(fc.constantFrom("2026-11-24", "2027-01-31")),
    firstPayment: fc.option(fc.constantFrom("2027-02-08", "2027-03-31")),
    find: fc.constantFrom<LoanFile["find"]>(
      "payment",
      "price",
      "down",
      "allowance",
      "yearlyRate",
      "payments",
    ),
  })
  .map(drawn => {
    const amount = (value: number) => (drawn.asText ? String(value) : value);
    const { find, tradeIn, down, yearlyRate, payments, signed, firstPayment } = drawn;
    return {
      ...EMPTY,
      currency: drawn.currency,
      structure: {
        ...(find !== "price" && { price: amount(drawn.price) }),
        ...(tradeIn && {
          tradeIn: {
            ...(find !== "allowance" && { allowance: amount(tradeIn.allowance) }),
            owed: amount(tradeIn.owed),
          },
        }),
        ...(down && find !== "down" && { down: "amount" in down ? { amount: amount(down.amount) } : down }),
      },
      plan: {
        kind: "loan",
        frequency: drawn.frequency,
        ...(yearlyRate !== null && find !== "yearlyRate" && { yearlyRate }),
        ...(payments !== null && find !== "payments" && { payments }),
        ...(find !== "payment" && { payment: amount(drawn.payment) }),
        ...(signed && { signed }),
        ...(signed && firstPayment && { firstPayment }),
      },
      find,
    } satisfies LoanFile;
  });

/** What a file comes to, without the words in which it was given. */
function outcome(file: LoanFile): unknown {
  const deal = readLoan(file);
  const quote = deal.ok ? evaluate(deal.value) : deal;
  if (!quote.ok) return quote.failure;
  const { deal: _deal, filled: _filled, ...figures } = quote.value;
  return figures;
}

test("reading what a field shows changes nothing: not the deal, and not what it shows", () => {
  const names: FieldName[] = [...STRUCTURE_FIELD_NAMES, ...PLAN_FIELD_NAMES, ...PLAN_PART_FIELD_NAMES];
  fc.assert(
    fc.property(files, fc.constantFrom(...names), (file, name) => {
      if (isFoundIn(openOption(file), name)) return;
      const shown = fieldText(openOption(file), name);
      const reading = readField(name, shown, file);
      if (!reading.ok) throw new Error(reading.sentence);
      const again = fieldText(openOption(reading.file), name);
      // Nothing typed on a trade-in is 0, and may stand as 0.
      if (shown === "") expect(again).toMatch(/^$|^0(\.0+)?$/);
      else expect(again).toBe(shown);
      expect(outcome(loanInputs(reading.file))).toEqual(outcome(file));
    }),
    { numRuns: runs(250) },
  );
});

test.each([
  // A distance counts from signing.
  ["firstPayment", "45d", { firstPayment: "2027-01-14" }],
  ["firstPayment", "+2 months", { firstPayment: "2027-01-30" }],
  ["firstPayment", "Feb 2027", { firstPayment: "2027-02-28" }],
  ["once/0/date", "24m", { extra: { once: [{ date: "2028-11-30", amount: "0" }] } }],
  ["once/0/date", "2y", { extra: { once: [{ date: "2028-11-30", amount: "0" }] } }],
  // Its due date: the first payment is on the 15th.
  ["once/0/date", "payment 24", { extra: { once: [{ date: "2028-12-15", amount: "0" }] } }],
  ["once/0/date", "#1", { extra: { once: [{ date: "2027-01-15", amount: "0" }] } }],
  ["once/0/date", "Nov 2029", { extra: { once: [{ date: "2029-11-15", amount: "0" }] } }],
  ["once/0/date", "March, 2027", { extra: { once: [{ date: "2027-03-15", amount: "0" }] } }],
  [
    "once/0/date",
    "payment 0",
    "Type a date such as 24 Nov 2027, Nov 2029, 24m or payment 24, from 1900 to 2199.",
  ],
] as const)("in %s, %j is a date of the plan", (field, text, expected) => {
  const file = loanInputs(chosenOption(newDealDocument("2026-11-30")).inputs);
  const plan = {
    ...file.plan,
    signed: "2026-11-30",
    ...(field !== "firstPayment" && { firstPayment: "2027-01-15" }),
    extra: { once: [{ date: "2027-02-01", amount: "0" }] },
  };
  const reading = readField(field, text, { ...file, plan });
  if (reading.ok) expect(reading.file.plan).toMatchObject(expected as object);
  else expect(reading.sentence).toBe(expected);
});

test("without a contract date a distance counts from the first payment", () => {
  const file = loanInputs(chosenOption(newDealDocument("2026-11-30")).inputs);
  const { signed: _, ...plan } = file.plan;
  const extra = { once: [{ date: "2027-02-01", amount: "0" }] };
  const dated = { ...file, plan: { ...plan, firstPayment: "2027-01-15", extra } };
  const reading = readField("once/0/date", "24m", dated);
  expect(reading.ok && reading.file.plan).toMatchObject({ extra: { once: [{ date: "2029-01-15" }] } });
});
