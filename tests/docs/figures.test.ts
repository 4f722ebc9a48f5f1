import { readFileSync } from "node:fs";
import { priceFile } from "@/exchange/answers/price-file";

const page = readFileSync("docs/figures.md", "utf8");

/** Each example of the page: its heading, the file, and what the answer has to have. */
function examples(): [heading: string, file: string, result: string][] {
  const found: [string, string, string][] = [];
  for (const section of page.split(/^## /m).slice(1)) {
    const heading = section.slice(0, section.indexOf("\n"));
    const blocks = [...section.matchAll(/```json( result)?\n([\s\S]*?)```/g)];
    for (const [index, [, isResult, text = ""]] of blocks.entries()) {
      if (isResult) found.push([heading, blocks[index - 1]?.[2] ?? "", text]);
    }
  }
  return found;
}

test("the page has an example for almost every convention", () => {
  expect(examples().length).toBeGreaterThan(20);
});

test.each(examples())("%s", (_, file, result) => {
  const priced = priceFile(file, true);
  if (!priced.ok) throw new Error(priced.sentence);
  expect(priced.answer).toMatchObject(JSON.parse(result));
});
