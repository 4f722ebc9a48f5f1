/** What a backup begins with: JSON on a line of its own. */
export type BackupHead = {
  format: "kellux-backup";
  version: 1;
  /** How many migrations the database had whose rows these are. */
  migrations: number;
  /** ISO 8601 instant. */
  made: string;
};

/** What it ends with: without this line it is not whole. */
export type BackupEnd = {
  end: true;
  rows: number;
  deals: number;
  /** SHA-256 of all lines before this one, as hexadecimal digits. */
  sha256: string;
};

/** Between them, each row of each table: `{"table":"deals","row":{…}}`. A row comes after those that it names. */
export type BackupRow = { table: string; row: Record<string, unknown> };

/** What is told of a backup that is whole. */
export type BackupFacts = { made: string; rows: number; deals: number };

/** A file that cannot be restored, in one sentence. */
export class BackupRefused extends Error {}
