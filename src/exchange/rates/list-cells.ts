import type { ProgramFile } from "../dealer/program.schema";

type LoanTo = NonNullable<ProgramFile["mostLoanTo"]>[number];
type Adjust = NonNullable<ProgramFile["adjust"]>[number];

/** Such as "115 invoice all; 100 bookValue vehicle". */
export const limitsCell = (limits: readonly LoanTo[]): string =>
  limits.map(({ percent, of, what }) => `${percent} ${of} ${what}`).join("; ");

/** Such as "0.50 above 110 invoice all; 0.75 above 80000 distance". */
export const adjustmentsCell = (adjust: readonly Adjust[]): string =>
  adjust
    .map(({ when, add }) =>
      "loanTo" in when
        ? `${add} above ${when.loanTo.above} ${when.loanTo.of} ${when.loanTo.what}`
        : `${add} above ${when.distance.above} distance`,
    )
    .join("; ");

/** Names, a semicolon in one with a backslash before it. */
export const namesCell = (names: readonly string[]): string =>
  names.map(name => name.replace(/[\\;]/g, "\\$&")).join("; ");

const parts = (cell: string) =>
  cell
    .split(";")
    .map(part => part.trim())
    .filter(part => part !== "");

/** What such a cell says, for a schema to check; what cannot be read is handed on as it is. */
export const limitsOfCell = (cell: string): unknown =>
  parts(cell).map(part => {
    const [percent, of, what = "all", ...more] = part.split(/\s+/);
    return more.length > 0 ? part : { percent, of, what };
  });

export const adjustmentsOfCell = (cell: string): unknown =>
  parts(cell).map(part => {
    const [add, word, above, of, what = "all", ...more] = part.split(/\s+/);
    if (word !== "above" || more.length > 0) return part;
    return of === "distance"
      ? { when: { distance: { above: /^\d+$/.test(above ?? "") ? Number(above) : above } }, add }
      : { when: { loanTo: { above, of, what } }, add };
  });

export const namesOfCell = (cell: string): string[] =>
  (cell.match(/(?:\\.|[^;\\])+/g) ?? [])
    .map(name => name.replace(/\\(.)/g, "$1").trim())
    .filter(name => name !== "");
