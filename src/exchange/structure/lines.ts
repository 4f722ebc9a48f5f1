import { definedOnly } from "../members";
import type { PaidBy } from "./paid-by";
import { tradeInsOf } from "./read-structure";
import type { StructureFile } from "./structure.schema";

/** The lists of a structure's lines. */
type Lists = Required<Pick<StructureFile, "taxes" | "fees" | "extras" | "rebates" | "tradeIns" | "payoffs">>;
export type ListName = keyof Lists;
export type LineOf<List extends ListName> = Lists[List][number];

/** The lines of a list; a file of before has its one trade-in outside the list. */
export function linesOf<List extends ListName>(
  structure: StructureFile,
  list: List,
): readonly LineOf<List>[] {
  const lines = list === "tradeIns" ? tradeInsOf(structure) : structure[list];
  return (lines ?? []) as readonly LineOf<List>[];
}

/** The structure with other lines in a list; without the list where none are left. */
export function withLines<List extends ListName>(
  structure: StructureFile,
  list: List,
  lines: readonly LineOf<List>[],
): StructureFile {
  const others = { ...structure };
  delete others[list];
  if (list === "tradeIns") delete others.tradeIn;
  return lines.length === 0 ? others : { ...others, [list]: [...lines] };
}

/** The structure with some members of a line changed; undefined takes one out. */
export function withLine<List extends ListName>(
  structure: StructureFile,
  list: List,
  index: number,
  change: Partial<Record<keyof LineOf<List> | (List extends "fees" ? "keptBack" : never), unknown>>,
): StructureFile {
  const lines = linesOf(structure, list).map((line, k) =>
    k === index ? (definedOnly({ ...line, ...change }) as LineOf<List>) : line,
  );
  return withLines(structure, list, lines);
}

/** The structure with one more line at the end of a list. */
export function withNewLine<List extends ListName>(
  structure: StructureFile,
  list: List,
  line: LineOf<List>,
): StructureFile {
  return withLines(structure, list, [...linesOf(structure, list), line]);
}

/** The structure without a line. */
export function withoutLine(structure: StructureFile, list: ListName, index: number): StructureFile {
  return withLines(
    structure,
    list,
    linesOf(structure, list).filter((_, k) => k !== index),
  );
}

/** How the amount of a fee or an extra is given. */
export type ChargeBy = "amount" | "price" | "loanAmount" | "totalOfPayments";

type ChargeLine = LineOf<"fees"> | LineOf<"extras">;

export function chargeBy({ percentOf }: ChargeLine): ChargeBy {
  return percentOf ?? "amount";
}

/** The members of a fee or an extra that is paid in a way. */
export function paidMembers(paid: PaidBy) {
  const isWith = paid === "firstPayment" || paid === "lastPayment" || paid === "eachPayment";
  return {
    financed: paid === "atSigning" ? false : undefined,
    keptBack: paid === "keptBack" ? true : undefined,
    with: isWith ? paid : undefined,
    // What falls with payments has its tax in it.
    ...(isWith && { taxable: undefined }),
  };
}

/** The structure of a personal loan: what only a vehicle has is taken out. */
export function asPersonal({ tradeIn: _one, tradeIns: _all, ...structure }: StructureFile, purpose: string) {
  const { taxes: _taxes, taxIncluded: _included, ...rest } = structure;
  return { ...rest, purpose } satisfies StructureFile;
}

/** The structure of a vehicle: what only a personal loan has is taken out, and what was kept back is financed. */
export function asVehicle(structure: StructureFile): StructureFile {
  const { purpose: _purpose, payoffs: _payoffs, ...rest } = structure;
  if (!rest.fees) return rest;
  return { ...rest, fees: rest.fees.map(({ keptBack: _kept, ...fee }) => fee) };
}

/** The first trade-in without its allowance, which is to be found. */
export function withOpenAllowance(structure: StructureFile): StructureFile {
  const [first, ...others] = linesOf(structure, "tradeIns");
  if (!first) return structure;
  const { allowance: _, ...open } = first;
  return withLines(structure, "tradeIns", [open, ...others]);
}
