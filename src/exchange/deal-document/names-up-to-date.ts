import type { DealHeading } from "./document.schema";
import { NAMED_MEMBERS, ownNamed } from "./named";

/** The id of one that was named before customers and vehicles had ids: the one that the deal names so, else a new one. */
const BY_NAME_ALONE = "00000000-0000-0000-0000-000000000000";

/** A heading as it is written today: before customers and vehicles had ids, it held their names alone. */
export function namesUpToDate<Heading extends object>(heading: Heading): Heading {
  const kept = heading as Record<string, unknown>;
  if (NAMED_MEMBERS.every(member => typeof kept[member] !== "string")) return heading;
  const { customer, vehicle, ...rest } = kept;
  const named = (member: string, value: unknown) => {
    const current = typeof value === "string" ? ownNamed(value, BY_NAME_ALONE) : value;
    return current === undefined ? {} : { [member]: current };
  };
  return { ...named("customer", customer), ...named("vehicle", vehicle), ...rest } as Heading;
}

/** Whether a heading was sent by a page of before customers and vehicles had ids. */
export const isOfNamesAlone = (heading: Partial<DealHeading> = {}): boolean =>
  NAMED_MEMBERS.some(member => heading[member]?.id === BY_NAME_ALONE);

/**
 * A heading whose customer and vehicle all have ids of their own.
 *
 * @param present of the deal that it is put into
 */
export function withOwnIds<Heading extends Partial<DealHeading>>(
  heading: Heading,
  present: Partial<DealHeading> = {},
): Heading {
  if (!isOfNamesAlone(heading)) return heading;
  const changed = NAMED_MEMBERS.flatMap(member => {
    const [sent, here] = [heading[member], present[member]];
    if (sent?.id !== BY_NAME_ALONE) return [];
    return [[member, here?.name === sent.name ? here : ownNamed(sent.name)]];
  });
  return { ...heading, ...Object.fromEntries(changed) };
}
