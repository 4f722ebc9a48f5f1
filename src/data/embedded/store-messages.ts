import type { AskedBy } from "@/exchange/people";
import type { Trace } from "./sign-of-life";
import type { FolderStore } from "./store-here";

/** What the serving thread asks the thread of the database: first which folder to open. */
export type ToThread =
  | {
      open: string /** Where in it a restored database is. */;
      restoredAt?: string /** Whether it comes after others. */;
      isPatient?: boolean;
      trace: Trace;
    }
  | { id: number; name: keyof FolderStore; args: unknown[]; by?: AskedBy }
  /** Where its files are to be copied to. */
  | { id: number; copyTo: string }
  | "areYouThere"
  | "close";

/** What the thread of the database says. */
export type FromThread =
  | "opened"
  | "hereIAm"
  | { notOpened: string; refusal?: "refused" | "inUse" }
  | { broken: string }
  | { id: number; value: unknown }
  | { id: number; failure: { message: string; code?: string } };
