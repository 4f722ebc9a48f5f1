import pg from "pg";
import type { AskedBy } from "@/exchange/people";
import { onBehalfOf } from "../asked-by";
import { DatabaseAway } from "../away";
import type { Database } from "../database";
import type { OpenStore } from "../open-store";
import type { Store } from "../store";
import { isAway, whyAway } from "./failures";
import { keeperOn } from "./keeper";
import { type Listening, listen } from "./listen";
import { databaseOver, readyServer } from "./open-server";
import { connectionOf, openPool } from "./pool";
import { storeOnServer } from "./store-on-server";

/** A store on a PostgreSQL server, on which others work, too. */
export type OnServer = OpenStore & {
  /** Ends once the server can hold what is kept; asked again, where it did not answer. */
  ready: () => Promise<void>;
  /** Says something to every process that listens. */
  say: (channel: string, text: string) => Promise<void>;
  /** Whether it is this process, of all that work on the server, that keeps the daily copies. */
  isKeeper: () => Promise<boolean>;
  listen: (channel: string, hear: (said: string) => void, again: () => void) => void;
};

type ServerOpening = {
  /** Is done to new tables by the process that makes them. */
  filled?: (database: Database) => Promise<void>;
  /** Is told whether the server has answered. */
  heard?: (answers: boolean) => void;
};

/**
 * Opens a store on a PostgreSQL server. Where that does not answer, what is asked fails as away, until it does.
 *
 * @throws DataRefused with a sentence where the address is none
 */
export function openStoreOnServer(url: string, { filled, heard = () => {} }: ServerOpening = {}): OnServer {
  const pool = openPool(url);
  let isReady: Promise<void> | undefined;
  const ready = () => {
    isReady ??= readyServer(url, filled).catch(error => {
      isReady = undefined;
      if (!isAway(error)) throw error;
      heard(false);
      throw new DatabaseAway(`The database server does not answer: ${whyAway(error)}.`);
    });
    return isReady;
  };
  const works = storeOnServer(databaseOver(pool), heard);
  const storeBy = (by?: AskedBy) =>
    new Proxy({} as Store, {
      get: (_, name) =>
        name === "then"
          ? undefined
          : async (...args: unknown[]) => {
              await ready();
              return onBehalfOf(by, () =>
                (works[name as keyof Store] as (...args: unknown[]) => unknown)(...args),
              );
            },
    });
  const listening: Listening[] = [];
  const keeper = keeperOn(url, "keeper");
  return {
    store: storeBy(),
    as: storeBy,
    ready,
    say: async (channel, text) => {
      await pool.query("select pg_notify($1, $2)", [channel, text]);
    },
    isKeeper: keeper.isKeeper,
    listen: (...args) => void listening.push(listen(url, ...args)),
    snapshot: async () => {
      await ready();
      return takeSnapshot(url);
    },
    close: async () => {
      await Promise.all([keeper, ...listening].map(({ close }) => close()));
      await pool.end();
    },
  };
}

/** All that is kept, as one transaction sees it that only reads. */
async function takeSnapshot(url: string) {
  const client = new pg.Client(connectionOf(url));
  client.on("error", () => {});
  await client.connect();
  await client.query("begin isolation level repeatable read, read only");
  return { store: storeOnServer(databaseOver(client)), end: () => client.end() };
}
