import { harmlessText } from "@/exchange/notation";

test.each([
  ["-17.64", "-17.64"],
  ["-1.250,50", "-1.250,50"],
  ["−17.64 %", "−17.64 %"],
  ["-", "'-"],
  ["-1+1", "'-1+1"],
  ["-cash down", "'-cash down"],
  ["＝HYPERLINK(1)", "'＝HYPERLINK(1)"],
  ["72 monthly", "72 monthly"],
])("the cell %s is %s", (text, cell) => {
  expect(harmlessText(text)).toBe(cell);
});
