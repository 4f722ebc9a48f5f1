import type { OnServer } from "@/data/postgres/open-store-on-server";
import { carryBy, deliver, EVERYTHING, type Message } from "./hub";

const CHANNEL = "kellux";

/** A message of a server holds 8,000 bytes: so many changes at a time. */
const TOGETHER = 50;

/** Has what is told carried to all processes of a PostgreSQL server, and hears what they tell. */
export function carryOverServer({ say, listen }: Pick<OnServer, "say" | "listen">): void {
  carryBy(message => {
    // Pages look by themselves, too: what is not carried is seen some seconds later.
    for (const part of inParts(message)) say(CHANNEL, JSON.stringify(part)).catch(() => deliver(part));
  });
  listen(
    CHANNEL,
    said => deliver(JSON.parse(said) as Message),
    () => deliver(EVERYTHING),
  );
}

function inParts({ changes, ...message }: Message): Message[] {
  if (!changes || changes.length <= TOGETHER) return [{ ...message, ...(changes && { changes }) }];
  return [
    { ...message, changes: changes.slice(0, TOGETHER) },
    ...inParts({ changes: changes.slice(TOGETHER) }),
  ];
}
