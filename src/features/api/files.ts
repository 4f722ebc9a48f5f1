import type { ArrivingReply, RestoredReply } from "@/server/contract";
import { type Answer, ask, jsonBody, send } from "./client";

/**
 * Brings in a file that has a deal on each line: all of them, or none.
 *
 * @param id by which the server tells how far it is, meanwhile
 */
export const bringInDeals = (file: File, id: string): Promise<Answer<{ deals: number }>> =>
  send("POST", `/api/deals/all?arrival=${id}`, new Blob([file], { type: "application/x-ndjson" }));

/** How far a file is that is being brought in, by the id that it was sent with. */
export const arrivingDeals = (id: string): Promise<Answer<ArrivingReply>> =>
  ask("GET", `/api/deals/all/${id}`);

/** Leaves a file that is being brought in. */
export const cancelArriving = (id: string): Promise<Answer<{ id: string }>> =>
  ask("DELETE", `/api/deals/all/${id}`);

/** Puts what a backup holds into the place of all that is kept: a file, or a copy of the server's by its name. */
export const restoreBackup = (backup: File | string): Promise<Answer<RestoredReply>> =>
  send(
    "POST",
    "/api/backups/restore",
    typeof backup === "string"
      ? jsonBody({ copy: backup })
      : new Blob([backup], { type: "application/gzip" }),
  );
