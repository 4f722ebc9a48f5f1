import type { DealHeading } from "./document.schema";
import { newId } from "./new-id";

export type Named = NonNullable<DealHeading["customer"]>;

/** Who and what a deal names. */
export const NAMED_MEMBERS = ["customer", "vehicle"] as const;

/** What it is called; empty where there is none. */
export const nameOf = (named: Named | undefined): string => named?.name ?? "";

/** A customer or a vehicle of a deal's own; none where nothing is said. */
export const ownNamed = (name: string, id: string = newId()): Named | undefined =>
  name === "" ? undefined : { id, name };
