import { type Carried, carry, clear, isEmpty, keepOthersFromWriting } from "../carry";
import type { Database } from "../database";
import { DataRefused } from "../refused";
import { databaseOver, readyServer, serverName } from "./open-server";
import { withConnection } from "./pool";

/**
 * Carries all rows of a database to a server, in one transaction: all of it or nothing.
 *
 * @param from a transaction that sees one moment
 * @param taking takes the place of what is there: it is asked to copy that first, while nobody else can write; where it is
 *   left out, the server's database has to be empty
 * @throws DataRefused with a sentence
 */
export async function carryToServer(
  from: Database,
  url: string,
  taking?: () => Promise<void>,
): Promise<Carried> {
  await readyServer(url);
  return withConnection(url, client =>
    databaseOver(client).transaction(async tx => {
      await keepOthersFromWriting(tx);
      if (taking) await taking();
      else if (!(await isEmpty(tx)))
        throw new DataRefused(`The database ${serverName(url)} is not empty; it was left as it is.`);
      await clear(tx);
      return carry(from, tx);
    }),
  );
}

/**
 * Carries all rows of a server as they are at one moment to another database, in one transaction there.
 *
 * @throws DataRefused where Kellux is at work on the server
 */
export async function carryFromServer(url: string, to: Database): Promise<Carried> {
  await readyServer(url);
  return withConnection(url, async client => {
    const { rows } = await client.query<{ others: number }>(
      `select count(*)::int as others from pg_stat_activity
        where application_name = 'kellux' and datname = current_database() and pid <> pg_backend_pid()`,
    );
    if ((rows[0]?.others ?? 0) > 0)
      throw new DataRefused(
        `Kellux is at work on ${serverName(url)}: stop its processes first, so that nothing is saved there that is not carried.`,
      );
    return databaseOver(client).transaction(
      from =>
        to.transaction(async tx => {
          await clear(tx);
          return carry(from, tx);
        }),
      { isolationLevel: "repeatable read", accessMode: "read only" },
    );
  });
}
