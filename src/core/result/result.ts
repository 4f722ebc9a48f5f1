import type { Figure } from "./figure";

/** Why a question has no answer: the figure to blame, one plain sentence, and the nearest figure that works. */
export type Failure = {
  figure: Figure;
  sentence: string;
  /** The nearest figure that has an answer, in minor units, where there is one. */
  nearest?: { figure: Figure; minor: number };
};

/** What a computation that a user can make fail gives back. */
export type Result<Value> = { ok: true; value: Value } | { ok: false; failure: Failure };

/** Wraps a value as a success. Example: `success(3)` is `{ ok: true, value: 3 }`. */
export function success<Value>(value: Value): { ok: true; value: Value } {
  return { ok: true, value };
}

/** Wraps a sentence as a failure of one figure. Example: `failure("price", "The price is missing.")`. */
export function failure(
  figure: Figure,
  sentence: string,
  nearest?: Failure["nearest"],
): { ok: false; failure: Failure } {
  return { ok: false, failure: nearest ? { figure, sentence, nearest } : { figure, sentence } };
}
