import { plainName } from "@/core/programs";
import { isSame } from "../deal-document";
import type { ProgramFile } from "../dealer/program.schema";
import { programLines } from "./program-words";
import type { Lender } from "./rates.schema";

/** What a file of rates would change, program by program. */
export type RatesChanges = {
  added: ProgramName[];
  changed: (ProgramName & { what: string[] })[];
  gone: ProgramName[];
  same: number;
};

type ProgramName = { lender: string; program: string };

/**
 * What taking in a file of rates changes: its lenders' programs take the place of those that are there, other lenders' stay.
 */
export function ratesChanges(present: readonly Lender[], arriving: readonly Lender[]): RatesChanges {
  const changes: RatesChanges = { added: [], changed: [], gone: [], same: 0 };
  for (const { name: lender, programs } of arriving) {
    const former = present.find(({ name }) => plainName(name) === plainName(lender))?.programs ?? [];
    for (const program of programs) {
      const before = sameNamed(former, program);
      if (!before) changes.added.push({ lender, program: program.name });
      else if (isSame(before, program)) changes.same += 1;
      else changes.changed.push({ lender, program: program.name, what: changedLines(before, program) });
    }
    for (const program of former)
      if (!sameNamed(programs, program)) changes.gone.push({ lender, program: program.name });
  }
  return changes;
}

const sameNamed = (programs: readonly ProgramFile[], { name }: ProgramFile) =>
  programs.find(each => plainName(each.name) === plainName(name));

/** Such as "24 to 60 months: 5.25 % → 5.40 %". */
export function changedLines(before: ProgramFile, after: ProgramFile): string[] {
  const [former, present] = [linesByName(before), linesByName(after)];
  return [...new Set([...former.keys(), ...present.keys()])].flatMap(name => {
    const [from, to] = [former.get(name), present.get(name)];
    if (from === to) return [];
    return `${name}: ${from ?? "none"} → ${to ?? "none"}`;
  });
}

function linesByName(program: ProgramFile): Map<string, string> {
  const lines = new Map<string, string>();
  for (const { name, text } of programLines(program)) {
    const before = lines.get(name);
    lines.set(name, before === undefined ? text : `${before}; ${text}`);
  }
  return lines;
}

/** The lenders that there are once a file was taken in, in their order, new ones last. */
export function withLenders(present: readonly Lender[], arriving: readonly Lender[]): Lender[] {
  const arrives = new Map(arriving.map(lender => [plainName(lender.name), lender]));
  const kept = present.map(lender => arrives.get(plainName(lender.name)) ?? lender);
  const known = new Set(present.map(({ name }) => plainName(name)));
  return [...kept, ...arriving.filter(({ name }) => !known.has(plainName(name)))];
}
