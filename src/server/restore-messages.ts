import type { RestoredBeside } from "@/data/embedded/restore";

/** Where it is restored: beside the database of a folder, or by way of that folder onto a server. */
export type ToRestore = { folder: string; file: string; server?: string };

/** What the thread says: once nobody else can write to the server, that what is there is to be copied; and how it ended. */
export type Restored = RestoredBeside | { refused: string } | { failed: string };
export type RestoreSays = Restored | "copy";

/** Said to the thread: the copy is made. */
export const COPIED = "copied";
