import type { RestoredReply } from "@/server/contract";
import { type Answer, jsonBody, send } from "./client";

/**
 * Brings in a file that has a deal on each line: all of them, or none.
 *
 * @param id by which the server tells how far it is, meanwhile
 */
export const bringInDeals = (file: File, id: string): Promise<Answer<{ deals: number }>> =>
  send("POST", `/api/deals/all?arrival=${id}`, new Blob([file], { type: "application/x-ndjson" }));

/** Puts what a backup holds into the place of all that is kept: a file, or a copy of the server's by its name. */
export const restoreBackup = (backup: File | string): Promise<Answer<RestoredReply>> =>
  send(
    "POST",
    "/api/backups/restore",
    typeof backup === "string"
      ? jsonBody({ copy: backup })
      : new Blob([backup], { type: "application/gzip" }),
  );
