import { type Failure, type Figure, failure } from "../../../../result";

/** The parts of a plan that another can exclude, by the name a sentence gives them. */
const PARTS = {
  balloon: "a balloon",
  deferred: "deferred payments",
  interestOnly: "interest-only payments",
  skippedMonths: "skipped months",
  steps: "steps",
  datedPayments: "a list of payments",
  extra: "extra payments",
} as const satisfies Partial<Record<Figure, string>>;

/** A part of a plan that another can exclude. */
export type Part = keyof typeof PARTS;

/**
 * The first of some parts that a plan has although it cannot, as a failure; undefined where it has none.
 *
 * @param plan what was given
 * @param excluded the parts that it cannot have
 * @param sentence says so, with the name of the part
 */
export function conflictOf(
  plan: { [Each in Part]?: unknown },
  excluded: readonly Part[],
  sentence: (name: string) => string,
): { ok: false; failure: Failure } | undefined {
  const part = excluded.find(each => plan[each] !== undefined);
  return part && failure(part, sentence(PARTS[part]));
}
