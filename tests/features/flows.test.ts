import { isoDate } from "@/core";
import { notationOf } from "@/exchange/notation";
import { answerFlows, readFlows } from "@/features/questions/flows";

const US = { currency: "USD", notation: notationOf("en-US") };
const DE = { currency: "EUR", notation: notationOf("de-DE") };

const read = (text: string, place = US) => {
  const result = readFlows(text, place);
  return "flows" in result
    ? result.flows.map(({ date, minor }) => `${isoDate(date)} ${minor}`)
    : result.sentence;
};

test("flows are read as they are typed or pasted", () => {
  expect(read("24 Nov 2026\t10,000.00\n24 Dec 2026\t-470")).toEqual([
    "2026-11-24 1000000",
    "2026-12-24 -47000",
  ]);
  expect(read("24 Nov 2026  +10,000.00\n\n  2026-12-24 −470.00  ")).toEqual([
    "2026-11-24 1000000",
    "2026-12-24 -47000",
  ]);
  expect(read("11/24/2026;10k\n12/24/2026;- 470")).toEqual(["2026-11-24 1000000", "2026-12-24 -47000"]);
  expect(read("Nov 24, 2026 10,000")).toEqual(["2026-11-24 1000000"]);
  expect(read("24.11.2026\t10.000,00\n24.12.2026\t−470,50", DE)).toEqual([
    "2026-11-24 1000000",
    "2026-12-24 -47050",
  ]);
});

test("a flow that comes again keeps its day", () => {
  expect(read("31 Jan 2027 −470 × 4")).toEqual([
    "2027-01-31 -47000",
    "2027-02-28 -47000",
    "2027-03-31 -47000",
    "2027-04-30 -47000",
  ]);
  expect(read("1 Feb 2027 −10 x 3 weekly")).toEqual([
    "2027-02-01 -1000",
    "2027-02-08 -1000",
    "2027-02-15 -1000",
  ]);
});

test.each([
  ["", "Type or paste dates with their amounts."],
  ["24 Nov 2026", "Line 1: “24 Nov 2026” is not a date with an amount, such as 24 Nov 2026 −470.00."],
  [
    "24 Nov 2026\t5\nsomeday\t5",
    "Line 2: “someday\t5” is not a date with an amount, such as 24 Nov 2026 −470.00.",
  ],
  ["24 Nov 2026 0", "Line 1: “24 Nov 2026 0” is not a date with an amount, such as 24 Nov 2026 −470.00."],
])("%j is refused with its line", (text, sentence) => {
  expect(read(text)).toBe(sentence);
});

test("the rates of a published example", () => {
  // 12 CFR 1026, Appendix J, (c)(1)(i): 5,000.00 on 10 January 1978, 24 payments of 230.00 from 10 February: 9.69 %.
  const flows = readFlows("1978-01-10 5,000.00\n1978-02-10 −230.00 × 24", US);
  if (!("flows" in flows)) throw new Error(flows.sentence);
  const answered = answerFlows(flows.flows);
  expect(answered.ok && answered.value.apr.percent.toFixed(2)).toBe("9.69");
  const none = readFlows("1978-01-10 5,000.00", US);
  expect("flows" in none && answerFlows(none.flows)).toMatchObject({
    ok: false,
    failure: { sentence: "There is no payment; give what is paid with its date." },
  });
});
