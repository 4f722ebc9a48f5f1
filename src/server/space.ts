import { statfs } from "node:fs/promises";
import { sizeText } from "@/exchange/text";

/** Less than this is warned of: the database's log alone takes 16 MB at a time. */
const LOW_BYTES = 500_000_000;

/** How much may still be written where the data is; undefined where the system does not tell. */
export async function freeSpace(folder: string): Promise<number | undefined> {
  try {
    const { bavail, bsize } = await statfs(folder);
    return bavail * bsize;
  } catch {
    return undefined;
  }
}

/** The sentence that warns where little room is left. */
export async function lowSpace(folder: string): Promise<string | undefined> {
  const free = await freeSpace(folder);
  if (free === undefined || free >= Number(process.env.KELLUX_LOW_SPACE ?? LOW_BYTES)) return undefined;
  return `Only ${sizeText(free)} are left on the disk that holds the data; without room nothing more can be saved.`;
}

/** Says so in the server's log. */
export async function warnOfLowSpace(folder: string): Promise<void> {
  const sentence = await lowSpace(folder);
  if (sentence) console.warn(sentence);
}
