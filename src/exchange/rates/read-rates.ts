import { findNodeAtLocation, type JSONPath, type ParseError, parseTree } from "jsonc-parser";
import { type Program, plainName } from "@/core/programs";
import { checkedAt } from "../checks";
import { readJson } from "../text";
import { ratesFile } from "./compiled";
import type { Lender, RatesFile } from "./rates.schema";
import { type Problem, readProgram } from "./read-program";

/** What lenders offer, as it is filed and as the core reckons with it; or everything that is wrong, in sentences. */
export type ReadRates = { ok: true; lenders: Lender[] } | { ok: false; sentences: string[] };

const MOST_SENTENCES = 20;

/**
 * Reads what lenders offer from JSON; where something is wrong, each sentence begins with its line and column.
 *
 * @param what what a sentence calls it
 */
export function readRatesJson(text: string, what = "This"): ReadRates {
  const json = readJson(text, what);
  if (!json.ok) {
    const errors: ParseError[] = [];
    parseTree(text, errors);
    const [first] = errors;
    return refused(first ? `${placeOf(text, first.offset)}${json.sentence}` : json.sentence);
  }
  const at = (path: JSONPath) => placeIn(text, path);
  const file = checkRates(json.value);
  if (!file.ok) return refused(`${at(pathOf(file.at))}${file.sentence}`);
  const problems = problemsOf(file.value.lenders);
  return problems.length === 0
    ? { ok: true, lenders: file.value.lenders }
    : { ok: false, sentences: problems.map(({ path, sentence }) => `${at([...path])}${sentence}`) };
}

/** Checks unknown data against the schema of rates. */
export const checkRates = (value: unknown) => checkedAt<RatesFile>(ratesFile, value);

const refused = (sentence: string): ReadRates => ({ ok: false, sentences: [sentence] });

/** What the schema cannot tell of lenders and their programs, each with where it is. */
export function problemsOf(lenders: readonly Lender[]): Problem[] {
  const problems: Problem[] = [];
  const names = new Set<string>();
  for (const [place, { name, programs }] of lenders.entries()) {
    const path = ["lenders", place];
    if (names.has(plainName(name))) problems.push({ path, sentence: `${name} is there twice.` });
    names.add(plainName(name));
    const called = new Set<string>();
    for (const [index, program] of programs.entries()) {
      const here = [...path, "programs", index];
      const who = `${name}, ${program.name}:`;
      if (called.has(plainName(program.name)))
        problems.push({ path: here, sentence: `${who} a program of that name is there already.` });
      called.add(plainName(program.name));
      const read = readProgram(name, program);
      if (!read.ok)
        problems.push({
          path: [...here, ...read.problem.path],
          sentence: `${who} ${read.problem.sentence}`,
        });
    }
  }
  return problems.slice(0, MOST_SENTENCES);
}

/** Programs that were checked before, as the core reckons with them, lender by lender. */
export const programsOf = (lenders: readonly Lender[]): Program[] =>
  lenders.flatMap(({ name, programs }) =>
    programs.flatMap(file => {
      const read = readProgram(name, file);
      return read.ok ? [read.program] : [];
    }),
  );

/** A JSON pointer as a path. */
export const pathOf = (pointer: string): JSONPath =>
  pointer
    .split("/")
    .slice(1)
    .map(part => (/^\d+$/.test(part) ? Number(part) : part.replaceAll("~1", "/").replaceAll("~0", "~")));

/** "Line 12, column 3: ", of the innermost part of a path that is there. */
function placeIn(text: string, path: JSONPath): string {
  const tree = parseTree(text);
  for (let length = path.length; tree && length >= 0; length--) {
    const node = findNodeAtLocation(tree, path.slice(0, length));
    if (node) return placeOf(text, node.offset);
  }
  return "";
}

function placeOf(text: string, offset: number): string {
  const before = text.slice(0, offset).split("\n");
  return `Line ${before.length}, column ${(before.at(-1)?.length ?? 0) + 1}: `;
}
