import { firstCharacters, readJson, sizeText } from "@/exchange/text";
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
  for (const text of ['"\\ud83d"', '["\\uDE90"]', '{"a":{"b":["x\\ud83dy"]}}', '{"\\udfff":1}'])
    expect(readJson(text)).toEqual({ ok: false, sentence: expect.stringContaining("half of a character") });
  for (const text of ['"\\ud83d\\ude90"', '"🚐"', '"\\\\ud83d"', "null", '{"a":"\\u00e9"}'])
    expect(readJson(text)).toEqual({ ok: true, value: JSON.parse(text) });
});

test("a deal file with a half of a character is refused in a sentence", () => {
  const text = '{"format":"kellux-deal","version":2,"currency":"USD","customer":"\\ud83d","options":[]}';
  const sentence = expect.stringContaining("half of a character");
  expect(parseDealDocument(text, () => "")).toEqual({ ok: false, sentence });
});

test("a text of half a million characters is cut as fast as a short one", () => {
  for (const letter of ["x", "e\u0301", "👨‍👩‍👧", "\n"]) {
    const text = letter.repeat(500_000 / letter.length);
    expect(firstCharacters(text, 40)).toBe(letter.repeat(40 / letter.length));
  }
});

test("JSON that lies too deep is refused before anything looks at its parts", () => {
  const deep = (count: number, within = "") => `${"[".repeat(count)}${within}${"]".repeat(count)}`;
  expect(readJson(deep(64)).ok).toBe(true);
  for (const text of [deep(65), deep(5000, '"\\ud83d\\ude90"'), deep(200_000), "[".repeat(200_000)])
    expect(readJson(text)).toEqual({ ok: false, sentence: expect.stringContaining("64 deep") });
  // Brackets within quotation marks are text, escaped quotation marks among them.
  const quoted = JSON.stringify(`"${"[".repeat(500)}\\`);
  expect(readJson(quoted)).toEqual({ ok: true, value: JSON.parse(quoted) });
});

test("sizes are said as a person reads them", () => {
  expect([450, 450_000, 1_048_576, 81_352_820_000].map(sizeText)).toEqual([
    "1 kB",
    "450 kB",
    "1.05 MB",
    "81.35 GB",
  ]);
});
