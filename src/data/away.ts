/**
 * The database did not answer: not in time, or it never will. What was asked may have been done. Known by its code, for
 * each bundle of the server has classes of its own.
 */
export class DatabaseAway extends Error {
  readonly code = AWAY_CODE;
}

const AWAY_CODE = "DATABASE_AWAY";

export const isDatabaseAway = (error: unknown): error is DatabaseAway =>
  error instanceof Error && (error as NodeJS.ErrnoException).code === AWAY_CODE;

/** Says why something failed that nobody waits for; where the database is away or has closed, that is said elsewhere. */
export function sayUnlessAway(error: unknown): void {
  if (!isDatabaseAway(error)) console.error(error);
}
