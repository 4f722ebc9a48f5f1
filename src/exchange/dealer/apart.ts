const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/**
 * What is filed of an option, with the dealer's side apart; neither is checked. Before there was one, an extra had its
 * cost beside its amount: what stands there is of the dealer's side.
 *
 * @example dealerApart({ …, structure: { extras: [{ name: "Cover", amount: "640", cost: "310" }] } }).dealer // { extraCosts: ["310"] }
 */
export function dealerApart(filed: unknown): { option: unknown; dealer: unknown } {
  if (!isObject(filed)) return { option: filed, dealer: undefined };
  const { dealer, ...rest } = filed;
  const option = dealer === undefined ? filed : rest;
  const { structure } = filed;
  const extras = isObject(structure) ? structure.extras : undefined;
  if (!Array.isArray(extras) || !extras.some(hasCost)) return { option, dealer };
  return {
    option: { ...option, structure: { ...(structure as object), extras: extras.map(withoutCost) } },
    dealer: { extraCosts: extras.map(extra => (hasCost(extra) ? extra.cost : null)), ...(dealer as object) },
  };
}

const hasCost = (extra: unknown): extra is { cost: unknown } => isObject(extra) && extra.cost !== undefined;

function withoutCost(extra: unknown): unknown {
  if (!hasCost(extra)) return extra;
  const { cost: _, ...rest } = extra;
  return rest;
}
