/**
 * What a backup begins with: JSON on a line of its own. Each row of each table follows, `{"table":"deals","row":{…}}`, after
 * those that it names.
 */
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

/** What is told of a backup that is whole. */
export type BackupFacts = { made: string; rows: number; deals: number };

/** A file that cannot be restored, in one sentence. */
export class BackupRefused extends Error {}
