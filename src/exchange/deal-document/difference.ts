import { NAMED_MEMBERS } from "./named";
import { isSame } from "./same";

/**
 * What it takes to come from one state of a deal to another: for each place that differs its path and what stands there
 * then; a path alone where nothing does. A whole document where the two have little in common.
 */
export type Difference = [path: string, value?: unknown][];

/** How a deal's document is written today. A kept state names the one that it was written in. */
export const DOCUMENT_VERSION = 3;

/** Places within the options begin with their number alone. */
const OPTIONS = /^options\/(\d)(?=\/|$)/;
const shortened = (path: string) => path.replace(OPTIONS, "$1");
const written = (path: string) => path.replace(/^(\d)(?=\/|$)/, "options/$1");

/**
 * The places in which a deal differs from another state of it.
 *
 * @example differenceBetween(deal, { ...deal, status: "agreed" }) // [["status", "agreed"]]
 */
export function differenceBetween(from: object, to: object): Difference {
  const found: Difference = [];
  compare(from, to, "", found);
  return found;
}

function compare(from: unknown, to: unknown, path: string, found: Difference): void {
  if (isSame(from, to)) return;
  if (to === undefined) found.push([shortened(path)]);
  else if (WHOLE.has(path) || !areAlike(from, to)) found.push([shortened(path), to]);
  else {
    const [one, other] = [from, to] as Record<string, unknown>[];
    for (const name of Object.keys({ ...one, ...other })) {
      compare(one?.[name], other?.[name], path ? `${path}/${escaped(name)}` : escaped(name), found);
    }
  }
}

/** Whether two values are compared member by member: two objects, or two lists of one length. */
function areAlike(one: unknown, other: unknown): boolean {
  if (typeof one !== "object" || typeof other !== "object" || one === null || other === null) return false;
  if (!Array.isArray(one) || !Array.isArray(other)) return Array.isArray(one) === Array.isArray(other);
  return one.length === other.length;
}

// As JSON Pointer (RFC 6901) has it.
const escaped = (name: string) => name.replaceAll("~", "~0").replaceAll("/", "~1");
const unescaped = (name: string) => name.replaceAll("~1", "/").replaceAll("~0", "~");

/** Who and what a deal names differ as a whole: another customer is not the same one of another name. */
const WHOLE: ReadonlySet<string> = new Set(NAMED_MEMBERS);

/** The other state, by what it differs in. */
export function withDifference<State>(one: State, difference: Difference): State {
  return difference.reduce<unknown>(
    (state, [path, ...value]) => put(state, written(path).split("/").map(unescaped), value),
    one,
  ) as State;
}

function put(state: unknown, [name = "", ...rest]: readonly string[], value: readonly unknown[]): unknown {
  const now = (state as Record<string, unknown>)[name];
  const next = rest.length > 0 ? put(now, rest, value) : value[0];
  if (Array.isArray(state)) return state.map((each, index) => (index === Number(name) ? next : each));
  const { [name]: _, ...others } = state as Record<string, unknown>;
  return next === undefined && (rest.length > 0 || value.length === 0) ? others : { ...others, [name]: next };
}
