import type { LastStop, TallyPart } from "@/data/embedded/last-stop";
import { wayBack } from "@/data/embedded/state";
import type { FolderStore } from "@/data/embedded/store-here";
import { failureOf } from "@/data/failure";
import { takingTurns } from "@/data/turns";

/** So little at a time that others are served in between: a megabyte. */
const BLOCKS = 128;

// Kept on the process, because bundles of the server each have their own copy of this module.
const shared = globalThis as typeof globalThis & { kelluxDamage?: string };

/** What is damaged of all that is kept, as a sentence with the way back; undefined where nothing is known to be. */
export const damageFound = (): string | undefined => shared.kelluxDamage;

/**
 * Reads all that is kept once, part by part, and compares it with what the last stop has noted.
 *
 * @param noted by the last stop, before anything was opened
 */
export async function lookAtAll(
  store: FolderStore,
  folder: string,
  noted: LastStop | undefined,
): Promise<void> {
  const rest = takingTurns();
  for (const table of await store.tableNames()) {
    const damage = await damageOf(store, table, noted, rest);
    if (!damage) continue;
    shared.kelluxDamage = `What is kept in ${folder} is damaged: ${damage}. ${wayBack(folder)}`;
    console.error(shared.kelluxDamage);
    return;
  }
}

async function damageOf(
  store: FolderStore,
  table: string,
  noted: LastStop | undefined,
  rest: () => Promise<void>,
): Promise<string | undefined> {
  let [rows, sum] = [0, 0n];
  let part: TallyPart | undefined;
  try {
    for (let from = 0; !part?.isLast; from += BLOCKS) {
      part = await store.tallyPart(table, from, BLOCKS);
      rows += part.rows;
      sum += BigInt(part.check);
      await rest();
    }
  } catch (error) {
    const { code, message } = failureOf(error);
    // A database that is away says nothing of what it holds.
    if (code === undefined || !isDamageCode(code)) throw error;
    return `“${table}” cannot be read (${message})`;
  }
  const before = noted?.tables[table];
  // What was written since is not what the last stop has seen.
  if (!before || part.nextTransaction !== noted.nextTransaction) return undefined;
  if (rows === before.rows && String(sum) === before.check) return undefined;
  return `“${table}” is not as it was at the last stop`;
}

/** The database's own words for what cannot be read: damaged data, a damaged index, a file that is not there. */
const DAMAGE_CODES = ["XX001", "XX002", "58P01", "58030"];

const isDamageCode = (code: string) => DAMAGE_CODES.includes(code);

/** The sentence for an error that comes of damage; undefined for any other. */
export function damageSentence(error: unknown, folder: string): string | undefined {
  const { code } = failureOf(error);
  if (code === undefined || !isDamageCode(code)) return undefined;
  return `What was asked for cannot be read: what is kept is damaged there. ${wayBack(folder)}`;
}
