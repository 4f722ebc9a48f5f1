import type { Store } from "./store";

/** What the serving thread asks the thread of the database: first which folder to open. */
export type ToThread = { open: string } | { id: number; name: keyof Store; args: unknown[] } | "close";

/** What the thread of the database says. */
export type FromThread =
  | "opened"
  | { notOpened: string; isInUse: boolean }
  | { id: number; value: unknown }
  | { id: number; failure: { message: string; code?: string } };
