import { AsyncLocalStorage } from "node:async_hooks";
import type { AskedBy } from "@/exchange/people";

const asking = new AsyncLocalStorage<AskedBy>();

/** On whose behalf the work at hand is done; undefined where nobody has a name yet, or the server does it by itself. */
export const askedBy = (): AskedBy | undefined => asking.getStore();

/** Does something on behalf of somebody. */
export const onBehalfOf = <Answer>(by: AskedBy | undefined, work: () => Answer): Answer =>
  by ? asking.run(by, work) : work();
