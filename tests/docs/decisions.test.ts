import { readdirSync, readFileSync } from "node:fs";

const FOLDER = "docs/decisions";

test("the list of decisions has each of them once, by its title", () => {
  const titles = readdirSync(FOLDER)
    .filter(name => /^\d{4}-/.test(name))
    .map(name => {
      const [first = ""] = readFileSync(`${FOLDER}/${name}`, "utf8").split("\n");
      return `- [${name.slice(0, 4)}](${name}) ${first.replace(/^# (\d{4}: )?/, "")}`;
    });
  expect(titles.length).toBeGreaterThan(30);
  const listed = readFileSync(`${FOLDER}/README.md`, "utf8")
    .split("\n")
    .filter(line => line.startsWith("- "));
  expect(listed.sort()).toEqual(titles.sort());
});
