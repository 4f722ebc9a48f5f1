import { readFileSync } from "node:fs";

const { dependencies, devDependencies } = JSON.parse(readFileSync("package.json", "utf8"));
const page = readFileSync("docs/security.md", "utf8");
const [running = "", checking = ""] = page.split("For checks alone");

const named = (text: string) =>
  [...text.matchAll(/`((?:@[a-z0-9.-]+\/)?[a-z0-9.-]+)`/g)].map(([, name = ""]) => name);

test("every package that the app runs with is told what it is for, and none that it does not", () => {
  const table = running
    .split("\n")
    .filter(line => /^\| (`|@)/.test(line))
    .flatMap(line => named(line.split("|")[1] ?? ""));
  expect(table.sort()).toEqual(Object.keys(dependencies).sort());
});

test("every package of the checks is named", () => {
  const names = new Set(named(checking));
  const missing = Object.keys(devDependencies).filter(
    name => !names.has(name) && !name.startsWith("@types/"),
  );
  expect(missing).toEqual([]);
});
