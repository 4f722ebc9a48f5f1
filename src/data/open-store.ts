import type { AskedBy } from "@/exchange/people";
import type { Store } from "./store";

/** All that is kept as it was at one moment, for whoever reads it at length while others go on. */
export type Snapshot = {
  store: Store;
  /** Lets it go. */
  end: () => Promise<void>;
};

/** A store that is open, wherever its database is. */
export type OpenStore = {
  store: Store;
  /** The same, on behalf of somebody: what they do is noted. */
  as: (by: AskedBy) => Store;
  snapshot: () => Promise<Snapshot>;
  close: () => Promise<void>;
};
