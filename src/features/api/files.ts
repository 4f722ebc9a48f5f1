import type { RestoredReply } from "@/server/contract";
import { type Answer, send } from "./client";

/** Brings in a file that has a deal on each line: all of them, or none. */
export const bringInDeals = (file: File): Promise<Answer<{ deals: number }>> =>
  send("POST", "/api/deals/all", "application/x-ndjson", file);

/** Puts what a backup holds into the place of all that is kept: a file, or a copy of the server's by its name. */
export const restoreBackup = (backup: File | string): Promise<Answer<RestoredReply>> =>
  typeof backup === "string"
    ? send("POST", PATH, "application/json", new TextEncoder().encode(JSON.stringify({ copy: backup })))
    : send("POST", PATH, "application/gzip", backup);

const PATH = "/api/backups/restore";
