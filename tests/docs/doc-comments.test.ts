// The examples in the core's doc comments, run. An example ends with an expression and, after "//", what it gives: "…"
// at the end of a number stands for further places, and at the end of an object for further figures.
import { readdirSync, readFileSync } from "node:fs";
import { join, resolve } from "node:path";
import { FIGURES } from "./example-figures";

const sources = (readdirSync("src/core", { recursive: true }) as string[])
  .filter(name => name.endsWith(".ts"))
  .map(name => join("src/core", name));

type Example = { source: string; statements: string; expression: string; given: string };

/** The examples of a source: statements, the last expression, and what it should give. */
function examplesOf(source: string): Example[] {
  const comments = readFileSync(source, "utf8").matchAll(/\/\*\*((?:(?!\*\/)[\s\S])*?)\*\//g);
  return [...comments].flatMap(([, comment = ""]) =>
    comment
      .split("@example")
      .slice(1)
      .map(text => {
        const lines = text.split("\n").map(line => line.replace(/^\s*\* ?/, "").trimEnd());
        const whole = lines.filter(line => line.trim() !== "").join("\n");
        const comma = whole.lastIndexOf("//");
        const code = whole.slice(0, comma).trim();
        const end = code.lastIndexOf(";\n") + 1;
        return {
          source,
          statements: code.slice(0, end),
          expression: code
            .slice(end)
            .replace(/^\s*\/\/.*\n/, "")
            .trim(),
          given: whole.slice(comma + 2).trim(),
        };
      }),
  );
}

const examples = sources.flatMap(examplesOf);

/** Runs an example with the figures above and with what the core exports, its own file's first. */
async function run(source: string, program: string): Promise<unknown> {
  const scope: Record<string, unknown> = {};
  for (const file of [...sources.filter(other => other !== source), source])
    Object.assign(scope, await import(resolve(file)));
  Object.assign(scope, FIGURES);
  return new Function(...Object.keys(scope), program)(...Object.values(scope));
}

test("almost every public function has an example", () => {
  expect(examples.length).toBeGreaterThan(60);
});

test.each(
  examples.map((example): [string, Example] => [`${example.source}: ${example.expression}`, example]),
)("%s", async (_, { source, statements, expression, given }) => {
  const actual = await run(source, `{ ${statements}\nreturn (${expression}); }`);
  if (/^-?\d[\d.]*…$/.test(given)) {
    expect(String(actual).slice(0, given.length - 1)).toBe(given.slice(0, -1));
    return;
  }
  const expected = await run(source, `return (${given.replaceAll(/, …/g, "")});`);
  if (typeof expected === "number") expect(actual).toBeCloseTo(expected, 12);
  else if (given.includes("…") && typeof expected === "object")
    expect(actual).toMatchObject(expected as object);
  else expect(actual).toEqual(expected);
});
