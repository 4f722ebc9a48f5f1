import { readFileSync } from "node:fs";
import { priceFile } from "@/exchange/answers/price-file";
import { programsOf, readRatesJson } from "@/exchange/rates/read-rates";

const page = readFileSync("docs/programs.md", "utf8");
const block = (name: string) => new RegExp(`\`\`\`json ${name}\\n([\\s\\S]*?)\`\`\``).exec(page)?.[1] ?? "";

test("the page's deal is answered by its rates as the page says", () => {
  const rates = readRatesJson(block("rates"));
  if (!rates.ok) throw new Error(rates.sentences.join(" "));
  const offered = { programs: programsOf(rates.lenders), today: 0 };
  const priced = priceFile(block("deal"), true, undefined, offered);
  if (!priced.ok) throw new Error(priced.sentence);
  expect(priced.answer).toMatchObject(JSON.parse(block("result")));
});

test("a question of programs without a file of rates says that one is to be named", () => {
  expect(priceFile(block("deal"), true)).toEqual({
    ok: false,
    sentence: "Question 1: Which programs fit needs a file of rates: name one by --rates FILE.",
  });
});
