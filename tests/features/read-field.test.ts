import { newDealDocument } from "@/features/deal/new-deal";
import { type FieldName, readField } from "@/features/deal/read-field";

const EMPTY = newDealDocument("2026-11-24").inputs;

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
  ["years", "6", 72],
  ["years", "5.5", 66],
  ["years", "0.25", 3],
  ["years", "18 months", 18],
] as const)("in %s, %j are %i payments", (field, text, payments) => {
  expect(read(field, text)).toMatchObject({ payments });
});

test.each([
  ["payments", "0", "0 is not a possible number of payments; it can be 1 to 1,200."],
  ["payments", "72.5", "“72.5” is not a whole number of monthly payments."],
  ["payments", "1201", "1201 is not a possible number of payments; it can be 1 to 1,200."],
  ["years", "5.83", "“5.83” is not a whole number of monthly payments."],
  ["years", "soon", "“soon” is not a term; type 6, 5.5 or 5 y 10 m."],
  ["yearlyRate", "6.4x", "“6.4x” is not a yearly rate; type a percent from 0 to 1,000, such as 6.49."],
  ["yearlyRate", "1001", "“1001” is not a yearly rate; type a percent from 0 to 1,000, such as 6.49."],
  ["down", "101%", "“101%” is not a percent of the price; type one from 0 to 100, such as 15."],
  ["signed", "2026-02-30", "Type a date from 1 January 1900 to 31 December 2199."],
] as const)("in %s, %j says why it cannot be", (field, text, sentence) => {
  expect(read(field, text)).toBe(sentence);
});

test("clearing a field takes its figure out", () => {
  const reading = readField("price", "41,850", EMPTY);
  if (!reading.ok) throw new Error(reading.sentence);
  expect(read("price", "", reading.file)).not.toHaveProperty("price");
});
