import pg from "pg";
import { connectionOf } from "./pool";

const AGAIN_MS = 500;
const LONGEST_AGAIN_MS = 5000;
/** A connection that nothing comes through is asked for a sign, so that one that broke without a word is seen. */
const SIGN_MS = 10_000;

/** Hears what is said on a channel of a server. */
export type Listening = { close: () => Promise<void> };

/**
 * Listens on a connection of its own, again and again where that breaks.
 *
 * @param hear is called with each thing that is said
 * @param again is called once it listens, also after a break: what was said meanwhile was not heard
 */
export function listen(
  url: string,
  channel: string,
  hear: (said: string) => void,
  again: () => void,
): Listening {
  let isClosed = false;
  let client: pg.Client | undefined;
  let timer: NodeJS.Timeout | undefined;
  let pause = AGAIN_MS;

  const connect = async () => {
    if (isClosed) return;
    const own = new pg.Client({ ...connectionOf(url), query_timeout: SIGN_MS });
    client = own;
    let isOver = false;
    const over = () => {
      if (isOver) return;
      isOver = true;
      clearInterval(sign);
      void own.end().catch(() => {});
      if (isClosed) return;
      timer = setTimeout(() => void connect(), pause);
      pause = Math.min(2 * pause, LONGEST_AGAIN_MS);
    };
    const sign = setInterval(() => void own.query("select 1").catch(over), SIGN_MS);
    sign.unref();
    own.on("error", over);
    own.on("end", over);
    own.on("notification", ({ payload }) => hear(payload ?? ""));
    try {
      await own.connect();
      await own.query(`listen ${pg.escapeIdentifier(channel)}`);
      pause = AGAIN_MS;
      again();
    } catch {
      over();
    }
  };
  void connect();
  return {
    close: async () => {
      isClosed = true;
      clearTimeout(timer);
      await client?.end().catch(() => {});
    },
  };
}
