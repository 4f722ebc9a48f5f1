import { LONGEST_PASSWORD, SHORTEST_PASSWORD } from "./sign-in-library";

/** Fewer different characters than this are a pattern, however long. */
const FEWEST_CHARACTERS = 5;

/** Shorter names stand in many a word. */
const SHORTEST_NAME = 4;

let known: Promise<ReadonlySet<string>> | undefined;

/** The passwords that are tried first. */
const common = (): Promise<ReadonlySet<string>> => {
  known ??= import("@zxcvbn-ts/language-common").then(
    ({ dictionary }) => new Set(dictionary["passwords-common"].map(word => String(word).toLowerCase())),
  );
  return known;
};

/**
 * Why a password is not taken, in one sentence; undefined where it is.
 *
 * @param own what is known of whose it is: names that are guessed first
 * @example await passwordProblem("short", []) // "A password has at least 12 characters."
 */
export async function passwordProblem(password: string, own: readonly string[]): Promise<string | undefined> {
  if ([...password].length < SHORTEST_PASSWORD)
    return `A password has at least ${SHORTEST_PASSWORD} characters.`;
  if (password.length > LONGEST_PASSWORD) return `A password has at most ${LONGEST_PASSWORD} characters.`;
  const small = password.toLowerCase();
  if (new Set(small).size < FEWEST_CHARACTERS) return "The same few characters again are guessed at once.";
  if (own.some(name => name.length >= SHORTEST_NAME && small.includes(name.toLowerCase())))
    return "A password with your own name in it is guessed at once.";
  const words = await common();
  const core = small.replace(/^[^a-z]+|[^a-z]+$/g, "");
  const isRepeated = words.has(small.slice(0, Math.ceil(small.length / 2))) && /^(.+)\1$/.test(small);
  if (words.has(small) || words.has(core) || isRepeated)
    return "It is one of the passwords that are tried first, or begins and ends as one; take another.";
  return undefined;
}
