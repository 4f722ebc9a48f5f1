// What a loan's record and a lease's have alike: how each part is written, and read again.
import { type DayNumber, dayNumber, isoDate, type LeaseQuote, type LoanQuote } from "@/core";

/** A day as a record holds it. */
export const dateText = (day: DayNumber | null): string | null => (day === null ? null : isoDate(day));

/** The day of such a text, however late: a loan of many years ends after the last one that can be typed. */
export function dayOf(date: string): DayNumber;
export function dayOf(date: string | null): DayNumber | null;
export function dayOf(date: string | null): DayNumber | null {
  if (date === null) return null;
  const [year = 0, month = 1, day = 1] = date.split("-").map(Number);
  return dayNumber(year, month, day);
}

type Days = Pick<LoanQuote, "startDate" | "firstDate" | "finalDate">;
type Dates = { start: string | null; first: string | null; final: string | null };

export const datesOf = ({ startDate, firstDate, finalDate }: Days): Dates => ({
  start: dateText(startDate),
  first: dateText(firstDate),
  final: dateText(finalDate),
});

export const daysOf = ({ start, first, final }: Dates): Days => ({
  startDate: dayOf(start),
  firstDate: dayOf(first),
  finalDate: dayOf(final),
});

type Line<Figure> = { figure: Figure; name: string; sign: 1 | -1; amount: number; running: number };

/** The lines of a tally, with nothing else that the core may come to know of them. */
export const tallyOf = <Figure>(lines: readonly Line<Figure>[]): Line<Figure>[] =>
  lines.map(({ figure, name, sign, amount, running }) => ({ figure, name, sign, amount, running }));

type Due<Figure> = { items: readonly { figure: Figure; name: string; amount: number }[]; total: number };

/** What is due at signing, likewise. */
export const dueOf = <Figure>({ items, total }: Due<Figure>) => ({
  items: items.map(({ figure, name, amount }) => ({ figure, name, amount })),
  total,
});

/** What falls with payments, likewise. */
export const withPaymentsOf = ({ first, last, each }: LeaseQuote["withPayments"]) => ({ first, last, each });

type Structure = (LoanQuote["filled"] | LeaseQuote["filled"])["structure"];
type AgreedLines = Pick<Structure, "price" | "down"> & { allowances: (number | null)[] };

/** The lines of a structure that can be found, as they were agreed. */
export const agreedLines = ({ price, down, tradeIns }: Structure): AgreedLines => ({
  price,
  down,
  allowances: tradeIns.map(({ allowance }) => allowance),
});

/** A structure as it was typed, with what was agreed of it put in its place. */
export const withAgreedLines = (
  structure: Structure,
  { price, down, allowances }: AgreedLines,
): Structure => ({
  ...structure,
  price,
  down,
  tradeIns: allowances.map((allowance, index) => ({
    ...(structure.tradeIns[index] ?? { owed: 0 }),
    allowance,
  })),
});
