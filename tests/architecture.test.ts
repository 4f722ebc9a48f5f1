import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { violations } from "../scripts/architecture";

function sources(folder: string): [string, string][] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry): [string, string][] => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sources(path);
    return /\.tsx?$/.test(entry.name) ? [[path, readFileSync(path, "utf8")]] : [];
  });
}

test("every arrow of the source tree points down", () => {
  const files = new Map(sources("src"));
  expect(files.size).toBeGreaterThan(60);
  expect(violations(files)).toEqual([]);
});

const GOOD = {
  "src/core/index.ts": "export const one = 1;",
  "src/exchange/text.ts": "",
  "src/data/rows.ts": "",
  "src/workers/walk.ts": "",
  "src/server/service.ts": "",
  "src/features/a.ts": 'import { one } from "@/core";',
  "src/app/page.tsx": "",
};

test.each<[string, Record<string, string>, string]>([
  [
    "an arrow that points up",
    { "src/core/index.ts": 'import { a } from "@/features/a";', "src/features/a.ts": "export const a = 1;" },
    "src/core/index.ts imports src/features/a.ts, which lies above it.",
  ],
  [
    "an arrow that points up, for a type",
    {
      ...GOOD,
      "src/data/b.ts": 'import type {\n  A,\n} from "../server/c";',
      "src/server/c.ts": "export type A = 1;",
    },
    "src/data/b.ts imports src/server/c.ts, which lies above it.",
  ],
  [
    "another layer by way of folders above",
    { ...GOOD, "src/features/deal/b.ts": 'import { one } from "../../core";' },
    "src/features/deal/b.ts imports ../../core; another layer is named by @/.",
  ],
  [
    "a package in the core",
    { "src/core/index.ts": 'import fs from "node:fs";' },
    "src/core/index.ts imports node:fs; the core imports nothing but itself.",
  ],
  [
    "a clock in the core",
    { "src/core/index.ts": "export const now = Date.now();" },
    "src/core/index.ts uses Date; the core has no clock, chance or machine.",
  ],
  [
    "a library in the browser that compiles code, reached over another file",
    {
      "src/features/a.ts": 'import { b } from "@/exchange/b";',
      "src/exchange/b.ts": 'import { Ajv } from "ajv";',
    },
    "src/exchange/b.ts runs in the browser and imports ajv.",
  ],
  [
    "a compiler of checks on the server",
    { "src/server/a.ts": 'import { Ajv } from "ajv";' },
    "src/server/a.ts imports ajv, which compiles code at run time.",
  ],
  [
    "the server in the browser",
    { "src/features/a.ts": 'const b = await import("@/server/b");', "src/server/b.ts": "" },
    "src/features/a.ts runs in the browser and imports src/server/b.ts.",
  ],
  [
    "a ring of imports",
    { "src/core/a.ts": 'export { b } from "./b";', "src/core/b.ts": 'export { a } from "./a";' },
    "A ring of imports: src/core/a.ts → src/core/b.ts → src/core/a.ts.",
  ],
  [
    "a ring of folders, of which no files make a ring",
    {
      "src/core/a/one.ts": 'import type { Two } from "../b/two";',
      "src/core/b/two.ts": "export type Two = 2;",
      "src/core/b/three.ts": 'import { four } from "../a/four";',
      "src/core/a/four.ts": "export const four = 4;",
    },
    "A ring of folders: src/core/a → src/core/b → src/core/a.",
  ],
  [
    "a ring of folders by way of folders inside them",
    {
      "src/core/a/x/one.ts": 'import type { Two } from "../../b/two";',
      "src/core/b/two.ts": "export type Two = 2;",
      "src/core/b/y/three.ts": 'import { four } from "../../a/z/four";',
      "src/core/a/z/four.ts": "export const four = 4;",
    },
    "A ring of folders: src/core/a → src/core/b → src/core/a.",
  ],
  ["a file outside the layers", { "src/misc/a.ts": "" }, "src/misc/a.ts lies in no layer."],
  ["a layer that does not exist", { "src/core/index.ts": "" }, "There is no layer src/exchange/."],
])("%s is found", (_name, files, sentence) => {
  expect(violations(new Map(Object.entries(files)))).toContain(sentence);
});

test("a tree that keeps the layers has no violation", () => {
  const type = {
    ...GOOD,
    "src/features/c.ts": 'import type { A } from "@/server/b";',
    "src/server/b.ts": "",
  };
  expect(violations(new Map(Object.entries(type)))).toEqual([]);
});
