import { sizeText } from "../text/size-text";

/** The largest deal file that is brought in, in bytes. */
const LARGEST_FILE = 450_000;

/** Why a file of a size is not brought in; undefined where it may be. */
export function tooLargeSentence(bytes: number): string | undefined {
  return bytes > LARGEST_FILE
    ? `The file is ${sizeText(bytes)}; a deal file can have at most ${sizeText(LARGEST_FILE)}.`
    : undefined;
}
