import type { Settings, SettingsDealer } from "./settings.schema";

type Line = { id?: string; cost?: string | number };
type Stored = Omit<Settings, "extras"> & { extras?: (NonNullable<Settings["extras"]>[number] & Line)[] };

/**
 * Brings settings up to date: each usual fee and extra has an id, by its place where it was given none; what an extra cost
 * the dealer, which stood with it before there was a dealer's side, comes apart. What is no settings stays as it is.
 */
export function settingsUpToDate(stored: unknown): { settings: unknown; dealer?: SettingsDealer } {
  if (typeof stored !== "object" || stored === null) return { settings: stored };
  const { fees, extras } = stored as Stored;
  const settings = {
    ...stored,
    ...(Array.isArray(fees) && { fees: fees.map(withId("fee")) }),
    ...(Array.isArray(extras) && { extras: extras.map(withId("extra")) }),
  };
  const costs = (Array.isArray(extras) ? extras : []).flatMap((line: Line, index) =>
    line?.cost === undefined ? [] : [[withId("extra")(line, index).id, line.cost] as const],
  );
  return { settings, ...(costs.length > 0 && { dealer: { extraCosts: Object.fromEntries(costs) } }) };
}

const withId = (list: "fee" | "extra") => (line: Line, index: number) => {
  const { cost: _, ...rest } = line ?? {};
  return { ...rest, id: line?.id ?? `usual-${list}-${index + 1}` };
};
