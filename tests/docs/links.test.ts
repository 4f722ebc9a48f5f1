import { existsSync, readdirSync, readFileSync } from "node:fs";
import { dirname, join } from "node:path";

const pages = [
  ...readdirSync(".").filter(name => name.endsWith(".md")),
  ...readdirSync("docs", { recursive: true, encoding: "utf8" })
    .filter(name => name.endsWith(".md"))
    .map(name => join("docs", name)),
];

/** What a heading is called in an address. */
const anchorOf = (heading: string) =>
  heading
    .toLowerCase()
    .replace(/[^\p{L}\p{N} _-]/gu, "")
    .replaceAll(" ", "-");

test("every link of the documents leads somewhere", () => {
  let links = 0;
  const broken = pages.flatMap(page =>
    [...readFileSync(page, "utf8").matchAll(/\]\((?!https?:)([^)#\s]*)(?:#([^)\s]+))?\)/g)].flatMap(
      ([link, path = "", anchor]) => {
        links++;
        const target = path === "" ? page : join(dirname(page), path);
        if (!existsSync(target)) return [`${page}: ${link}`];
        if (anchor === undefined) return [];
        const headings = [...readFileSync(target, "utf8").matchAll(/^#+ (.*)$/gm)];
        return headings.some(([, heading = ""]) => anchorOf(heading) === anchor) ? [] : [`${page}: ${link}`];
      },
    ),
  );
  expect(links).toBeGreaterThan(80);
  expect(broken).toEqual([]);
});
