import type { DealChange } from "@/exchange/deal-document";
import type { SaveReply } from "@/server/contract";
import { type Answer, ask } from "./client";

/** Saves a change of a deal over a version of it. */
export const saveDeal = (id: string, version: number, change: DealChange): Promise<Answer<SaveReply>> =>
  ask("PUT", `/api/deals/${id}`, { version, change, brief: true });
