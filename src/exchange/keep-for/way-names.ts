import type { FlowName, How, WayEnd } from "@/core/horizon";

/** How a way to pay ends, after its name; nothing for what is simply sold. */
const HOW_ENDED: Record<How, string> = {
  sold: "",
  endedEarly: "ended early",
  boughtOut: "bought out early and sold",
  bought: "bought out and sold",
  returned: "returned",
  handedBack: "handed back",
};

/** How the line of a way ends that is drawn over every length. */
const LINE_ENDED: Record<WayEnd, string> = { sold: "", returned: "returned", bought: "bought out and sold" };

const named = (option: number | null, names: readonly string[], ended: string) => {
  const name = option === null ? "Cash" : (names[option] ?? `Option ${option + 1}`);
  return ended === "" ? name : `${name}, ${ended}`;
};

/**
 * What a way to pay is called.
 *
 * @param names of the deal's options
 * @example wayName({ option: 1, how: "returned" }, ["60 monthly", "Lease"]) // "Lease, returned"
 */
export const wayName = (
  { option, how }: { option: number | null; how: How },
  names: readonly string[],
): string => named(option, names, HOW_ENDED[how]);

/** What the line of a way is called, whichever month is looked at. */
export const lineName = (
  { option, end }: { option: number | null; end: WayEnd },
  names: readonly string[],
): string => named(option, names, LINE_ENDED[end]);

/** What some money is, in a list by date. */
export const FLOW_WORDS: Record<FlowName, string> = {
  cashPrice: "paid in cash",
  atSigning: "due at signing",
  given: "trade-in and deposit given",
  payment: "payment",
  payoff: "payoff",
  prepaymentCharge: "charge for paying early",
  depositBack: "security deposit back",
  handedBack: "fee when handed back",
  distance: "distance beyond the allowance",
  purchase: "bought out",
  endedEarly: "ended early, less what it brings",
  worth: "sold for what it is worth",
};
