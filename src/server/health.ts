import { CORE_VERSION } from "@/core";
import type { Store } from "@/data/store";
import type { Asker } from "./asker";
import { listCopies } from "./backups";
import { freeSpace } from "./space";
import { serverWarning } from "./warnings";

/** That the server answers, and its database with it; and what whoever looks after it wants to know. */
type Health = {
  database: "answers";
  core: string;
  /** Bytes that may still be written where the data is; null where the system does not tell. */
  freeBytes: number | null;
  /** When the newest copy of everything was made, as an ISO 8601 instant; null where there is none. */
  newestBackup: string | null;
  /** What should be seen to. */
  warning?: string;
};

/** Asks the database; fails where it does not answer. A stranger is told no more than that it lives. */
export async function health(
  store: Store,
  folder: string,
  { rights }: Pick<Asker, "rights">,
): Promise<Health | { lives: true }> {
  await store.answers();
  if (!rights.has("keepBackups")) return { lives: true };
  const warning = await serverWarning(folder);
  return {
    database: "answers",
    core: CORE_VERSION,
    freeBytes: (await freeSpace(folder)) ?? null,
    newestBackup: listCopies(folder)[0]?.made ?? null,
    ...(warning && { warning }),
  };
}
