import { serverName } from "@/data/postgres/open-server";
import { dataFolder } from "./data-folder";

/** The address of the PostgreSQL server that holds the data; undefined where a folder does. */
export const databaseUrl = (): string | undefined => process.env.KELLUX_DATABASE_URL || undefined;

/** Where the data is, in a sentence. */
export function dataPlace(): string {
  const url = databaseUrl();
  return url ? `the database ${serverName(url)}, and daily copies in ${dataFolder()}` : dataFolder();
}
