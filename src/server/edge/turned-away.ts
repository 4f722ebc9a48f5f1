/** Why a request is not answered, before anything else looks at it. */
type TurnedAway = { status: 400 | 405 | 414; sentence: string };

const METHODS = new Set(["GET", "HEAD", "POST", "PUT", "DELETE", "OPTIONS"]);
const READING = new Set(["GET", "HEAD"]);
const LONGEST_ADDRESS = 8000;

/** What of a request's first line is turned away: unknown verbs, addresses that are none, and writes where nothing is written. */
export function turnedAway(method: string, address: string): TurnedAway | undefined {
  if (!METHODS.has(method)) return { status: 405, sentence: `${method} is not answered here.` };
  if (!address.startsWith("/")) return { status: 400, sentence: "The address must begin with a slash." };
  if (address.length > LONGEST_ADDRESS)
    return { status: 414, sentence: `An address has at most ${LONGEST_ADDRESS} characters.` };
  const [path = ""] = address.split(/[?#]/);
  if (!isText(address)) {
    return {
      status: 400,
      sentence: "The address holds a percent sign that is followed by no character in UTF-8.",
    };
  }
  if (/[\\\p{Cc}]/u.test(decodeURIComponent(path)))
    return { status: 400, sentence: "The address holds a character that no address has." };
  if (!path.startsWith("/api/") && !READING.has(method))
    return { status: 405, sentence: `${method} is not answered at this address; it can only be read.` };
  return undefined;
}

function isText(address: string): boolean {
  try {
    decodeURIComponent(address);
    return true;
  } catch {
    return false;
  }
}
