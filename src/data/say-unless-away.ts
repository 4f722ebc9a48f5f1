import { isDatabaseAway } from "./store-in-thread";

/** Says why something failed that nobody waits for; where the database is away or has closed, that is said elsewhere. */
export function sayUnlessAway(error: unknown): void {
  if (!isDatabaseAway(error)) console.error(error);
}
