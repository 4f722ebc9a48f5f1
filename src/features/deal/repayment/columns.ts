/** Columns that can be shown besides those of every table. */
export const MORE_COLUMNS = ["opening", "costSoFar", "principalSoFar", "charges"] as const;

export type MoreColumn = (typeof MORE_COLUMNS)[number];

/** What they are called in a table, as far as it has them. */
export type ColumnNames = Partial<Record<MoreColumn, string>>;

const KEY = "kellux repayment columns";

/** What of them this browser shows. */
export function keptColumns(): readonly MoreColumn[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? "[]");
    return Array.isArray(kept) ? MORE_COLUMNS.filter(each => kept.includes(each)) : [];
  } catch {
    return [];
  }
}

/** Keeps what is shown; a browser that keeps nothing shows it until the page is left. */
export function keepColumns(columns: readonly MoreColumn[]): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(columns));
  } catch {
    // Private windows may keep nothing.
  }
}
