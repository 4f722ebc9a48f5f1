import { firstCharacters, HALF_CHARACTER, holdsHalfCharacter, sizeText } from "@/exchange/text";
import { parseDealDocument } from "@/exchange/whole-deal/parse-document";

test.each([
  ["Ida", 5, "Ida"],
  ["Ida Farrow", 5, "Ida F"],
  ["Ida 🚐", 5, "Ida "],
  ["Ida 🚐", 6, "Ida 🚐"],
  // A family is drawn as one; so is a letter with its accent, and a flag.
  ["ab👨‍👩‍👧", 9, "ab"],
  ["ab👨‍👩‍👧", 10, "ab👨‍👩‍👧"],
  ["abe\u0301", 3, "ab"],
  ["a🇩🇪", 3, "a"],
])("the beginning of %j with at most %i units is %j", (text, most, begin) => {
  expect(firstCharacters(text, most)).toBe(begin);
});

test("a half of a character is found wherever it is in JSON, and a whole one is none", () => {
  const isHalf = (text: string) => holdsHalfCharacter(text, JSON.parse(text));
  for (const text of ['"\\ud83d"', '["\\uDE90"]', '{"a":{"b":["x\\ud83dy"]}}', '{"\\udfff":1}'])
    expect(isHalf(text)).toBe(true);
  for (const text of ['"\\ud83d\\ude90"', '"🚐"', '"\\\\ud83d"', "null", '{"a":"\\u00e9"}'])
    expect(isHalf(text)).toBe(false);
});

test("a deal file with a half of a character is refused in a sentence", () => {
  const text = '{"format":"kellux-deal","version":2,"currency":"USD","customer":"\\ud83d","options":[]}';
  expect(parseDealDocument(text, () => "")).toEqual({ ok: false, sentence: HALF_CHARACTER });
});

test("sizes are said as a person reads them", () => {
  expect([450, 450_000, 1_048_576, 81_352_820_000].map(sizeText)).toEqual([
    "1 kB",
    "450 kB",
    "1.05 MB",
    "81.35 GB",
  ]);
});
