import pg from "pg";

/** What is waited for no longer, in milliseconds. */
const CONNECT_MS = 5000;
const STATEMENT_MS = 30_000;
const LOCK_MS = 10_000;
/** A connection that breaks without a word is seen by then. */
const ANSWER_MS = STATEMENT_MS + 5000;
const IDLE_TRANSACTION_MS = 60_000;
const LIFETIME_SECONDS = 300;

/** How many connections a process holds at most, unless it is said. */
const CONNECTIONS = 10;

/** How a process connects to a server, TLS as the address says. Times are in UTC, as the embedded database has them. */
export const connectionOf = (url: string): pg.ClientConfig => ({
  connectionString: url,
  application_name: "kellux",
  connectionTimeoutMillis: CONNECT_MS,
  keepAlive: true,
  options: "-c TimeZone=UTC -c DateStyle=ISO",
});

/** The connections on which a process works. */
export function openPool(url: string): pg.Pool {
  const pool = new pg.Pool({
    ...connectionOf(url),
    max: Number(process.env.KELLUX_DATABASE_CONNECTIONS) || CONNECTIONS,
    statement_timeout: STATEMENT_MS,
    query_timeout: ANSWER_MS,
    lock_timeout: LOCK_MS,
    idle_in_transaction_session_timeout: IDLE_TRANSACTION_MS,
    // One that broke without a word is of no use for longer; and after another server has taken over, none stays with the old.
    maxLifetimeSeconds: LIFETIME_SECONDS,
  });
  // One that breaks while nobody uses it is dropped; whoever asks next has another.
  pool.on("error", () => {});
  return pool;
}

/** Does a piece of work on a connection of its own, outside the pool and without its limits. */
export async function withConnection<Answer>(
  url: string,
  work: (client: pg.Client) => Promise<Answer>,
): Promise<Answer> {
  const client = new pg.Client(connectionOf(url));
  // What breaks it fails the statement that is under way.
  client.on("error", () => {});
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end().catch(() => {});
  }
}
