import {
  type Measured,
  offBy,
  STATED_AMOUNTS,
  type Stated,
  type StatedAmount,
  type StatedFigure,
  type StatedRow,
  TABLE_CELLS,
  type TableCell,
  type WayRow,
} from "./way";

/** A cell of another's table that is not as a way has it: what is said, what the way has, in minor units. */
export type DepartingCell = { number: number; cell: TableCell; stated: number; figure: number; off: number };

/** How a way's figures stand to those that are stated: what each is above its stated one, in minor units or percent. */
export type Compared = {
  off: { [Amount in StatedAmount | "apr" | "balance" | "payoff"]?: number };
  /** How many rows of the table depart, and the first cell that does. */
  rowsOff: number;
  firstOff: DepartingCell | null;
  /** How far off it is in all; 0 where every stated figure is given. */
  distance: number;
};

/** A hundredth of a percent weighs as much as a minor unit. */
const PER_PERCENT = 100;

/** So far each minor unit counts; beyond, how often it doubles: one figure that is far off does not hide what others say. */
const FAR = 100;

function weightOf(off: number): number {
  const away = Math.abs(off);
  return away <= FAR ? away : FAR * (1 + Math.log2(away / FAR));
}

/** What cannot be known is this far off. */
const UNKNOWN = 1e12;

/**
 * Holds a way's figures against those that are stated. It stops as soon as more is off than is of interest.
 *
 * @param measured what the way comes to
 * @param stated what is said
 * @param decimals of the currency
 * @param most the most distance that is of interest
 * @returns null where it is further off
 */
export function compare(measured: Measured, stated: Stated, decimals: number, most: number): Compared | null {
  const compared: Compared = { off: {}, rowsOff: 0, firstOff: null, distance: 0 };
  for (const [name, off] of offsOf(measured, stated, decimals)) {
    compared.off[name] = off;
    compared.distance += weightOf(name === "apr" ? off * PER_PERCENT : off);
    if (compared.distance > most) return null;
  }
  return stated.table && compareTable(measured, stated.table, { decimals, compared, most }) ? null : compared;
}

/** What each stated figure is off by, those first that take the least to know. */
function* offsOf(
  measured: Measured,
  stated: Stated,
  decimals: number,
): Generator<[keyof Compared["off"], number], void, void> {
  const off = (figure: number | undefined, of: StatedFigure, ofDecimals = decimals) =>
    figure === undefined ? UNKNOWN : offBy(figure, of, ofDecimals);
  for (const name of STATED_AMOUNTS) {
    const figure = stated[name];
    if (figure) yield [name, off(amountOf(measured, name), figure)];
  }
  const { balance, payoff, apr } = stated;
  if (balance) yield ["balance", off(balanceAfter(measured, balance.after), balance.amount)];
  if (payoff) yield ["payoff", off(measured.payoff(payoff.on), payoff.amount)];
  if (apr) yield ["apr", off(measured.apr(), apr, 0)];
}

/** A figure of a way by its name, in minor units. */
export function amountOf(measured: Measured, name: StatedAmount): number {
  const figure = measured[name];
  return typeof figure === "function" ? figure() : figure;
}

/** What is owed right after a payment; undefined where the loan has no such payment. */
export function balanceAfter(measured: Measured, after: number): number | undefined {
  return measured.rows().find(({ number }) => number === after)?.balance;
}

type Into = { decimals: number; compared: Compared; most: number };

/** Adds what of a table is off; true where it is more than is of interest. */
function compareTable(measured: Measured, table: readonly StatedRow[], into: Into): boolean {
  const rows = measured.rows();
  let place = 0;
  for (const stated of table) {
    // Rows come in order; a balloon has the number of the payment that it falls with.
    while (place < rows.length && (rows[place]?.number ?? 0) < stated.number) place += 1;
    const row = rows[place]?.number === stated.number ? rows[place] : undefined;
    if (row) place += 1;
    if (compareRow(row, stated, into)) return true;
  }
  return false;
}

function compareRow(row: WayRow | undefined, stated: StatedRow, { decimals, compared, most }: Into): boolean {
  let isOff = false;
  for (const cell of TABLE_CELLS) {
    const figure = stated[cell];
    const off = figure ? (row ? offBy(row[cell], figure, decimals) : UNKNOWN) : 0;
    if (!figure || off === 0) continue;
    isOff = true;
    compared.distance += weightOf(off);
    compared.firstOff ??= {
      number: stated.number,
      cell,
      stated: (figure.units / 10 ** figure.decimals) * 10 ** decimals,
      figure: row ? row[cell] : 0,
      off,
    };
  }
  if (isOff) compared.rowsOff += 1;
  return compared.distance > most;
}
