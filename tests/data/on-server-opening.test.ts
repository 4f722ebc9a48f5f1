// Whom a database of a server is refused to, and what becomes of one that does not answer.
import { setTimeout as wait } from "node:timers/promises";
import { isDatabaseAway } from "@/data/away";
import { knownMigrations } from "@/data/migrate";
import { readyServer } from "@/data/postgres/open-server";
import { numberedDeal } from "./numbered-deal";
import { asGuest, emptyDatabase, onServer, open, run, SERVER } from "./on-server";

onServer("a database of a server", () => {
  test("is refused with a sentence where it cannot hold what is kept", async () => {
    const refused = (url: string) => expect(readyServer(url)).rejects;
    await refused("mysql://kellux@localhost/kellux").toThrow(
      /KELLUX_DATABASE_URL must be an address such as/,
    );
    await refused(`${SERVER}/not_there`).toThrow(
      /^There is no database not_there at [^ ]+\. Make it: createdb/,
    );
    await refused(await emptyDatabase("encoding 'LATIN1' locale 'C'")).toThrow(
      /keeps text in LATIN1; make one/,
    );

    const url = await emptyDatabase();
    const guest = await asGuest(url);
    await refused(guest).toThrow(/may not add the extension pg_trgm .* create extension pg_trgm;/);
    await run(url, "create extension pg_trgm");
    await refused(guest).toThrow(/may not make tables there\. .* grant create on schema public/);
    await readyServer(url);
    // What the first start has made may be another user's.
    await run(
      url,
      "grant usage on schema drizzle to public",
      "grant select on all tables in schema drizzle to public",
    );
    await refused(guest).toThrow(/may not read and change all tables of .*deals.*grant select, insert/);
    await run(url, "grant select, insert, update, delete on all tables in schema public to public");
    await readyServer(guest);

    await run(
      url,
      "insert into drizzle.__drizzle_migrations (hash, created_at) values ('newer', 99999999999999)",
    );
    await refused(url).toThrow(/was kept by a newer Kellux than this one\. Nothing was changed/);
  });

  test("that does not answer is away, until it does", async () => {
    const away = open("postgres://kellux@127.0.0.1:9/kellux");
    const failure = await away.store.answers().catch(error => error);
    expect([isDatabaseAway(failure), failure.message]).toEqual([
      true,
      expect.stringContaining("The database server does not answer"),
    ]);
    // What an answer waits for beyond its time fails the same, and holds nothing that was asked.
    const url = await emptyDatabase();
    const { store } = open(url);
    const [id = ""] = await store.insertDeals([numberedDeal(1)]);
    await run(
      url,
      "select pg_terminate_backend(pid) from pg_stat_activity where application_name = 'kellux' and datname = current_database()",
    );
    await wait(100);
    expect(await store.versionOf(id)).toEqual({ version: 1, deleted: false });
  });

  test("is made ready by one of many processes that start at once, and each goes on with it", async () => {
    const url = await emptyDatabase();
    const many = Array.from({ length: 5 }, () => open(url));
    await Promise.all(many.map(({ ready }) => ready()));
    expect(await run(url, "select count(*)::int as made from drizzle.__drizzle_migrations")).toEqual([
      { made: knownMigrations() },
    ]);
    for (const { store } of many) expect(await store.hasDeals()).toBe(false);
  });
});
