import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { unusedExports } from "../scripts/unused-exports";

function sources(folder: string): [string, string][] {
  return readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter(path => /\.(tsx?|mjs)$/.test(path) && !path.endsWith(".d.ts"))
    .map(path => [join(folder, path), readFileSync(join(folder, path), "utf8")]);
}

test("what is exported is named by another file", () => {
  const files = new Map(["src", "scripts", "tests", "e2e", "demo"].flatMap(sources));
  expect(files.size).toBeGreaterThan(500);
  expect(unusedExports(files)).toEqual([]);
});

test("an export that only its own file names is found, and one that another names is not", () => {
  const files = new Map([
    ["src/core/a.ts", "export const alone = 1;\nexport type Shared = 2;\nconst twice = alone + alone;"],
    ["tests/a.test.ts", 'import type { Shared } from "@/core/a";'],
    ["src/app/page.tsx", "export const dynamic = 1;"],
  ]);
  expect(unusedExports(files)).toEqual(["src/core/a.ts exports alone, which no other file names."]);
});
