import pg from "pg";
import { lockNumbers, type ServerLock } from "./locks";
import { connectionOf } from "./pool";

/** Of all processes that work on a server one holds a lock for as long as it runs. */
type Keeper = {
  /** Whether it is this one, from now on; another is once this one's connection is gone. */
  isKeeper: () => Promise<boolean>;
  close: () => Promise<void>;
};

/** Does a piece of work while no other process does the same; undefined where one is at it. */
export async function whileNoneElse<Answer>(
  url: string,
  lock: ServerLock,
  work: () => Promise<Answer>,
): Promise<Answer | undefined> {
  const { isKeeper, close } = keeperOn(url, lock);
  try {
    return (await isKeeper()) ? await work() : undefined;
  } finally {
    await close();
  }
}

/** A sign of a connection that broke without a word takes no longer. */
const SIGN_MS = 5000;

export function keeperOn(url: string, lock: ServerLock): Keeper {
  let holding: pg.Client | undefined;
  const drop = async (client: pg.Client) => {
    if (holding === client) holding = undefined;
    await client.end().catch(() => {});
  };
  const take = async (): Promise<boolean> => {
    const client = new pg.Client({ ...connectionOf(url), query_timeout: SIGN_MS });
    client.on("error", () => void drop(client));
    client.on("end", () => void drop(client));
    await client.connect();
    const { rows } = await client.query<{ is: boolean }>(
      "select pg_try_advisory_lock($1, $2) as is",
      lockNumbers(lock),
    );
    if (rows[0]?.is) holding = client;
    else await client.end();
    return holding === client;
  };
  return {
    isKeeper: async () => {
      const held = holding;
      if (!held) return take();
      const isThere = await held.query("select 1").then(
        () => true,
        () => false,
      );
      if (!isThere) await drop(held);
      return isThere || take();
    },
    close: async () => {
      if (holding) await drop(holding);
    },
  };
}
