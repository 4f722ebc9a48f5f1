import type { Lever } from "@/core/programs";
import { amountText } from "../text";

/** The names of extras, by their places, where a lever leaves some out. */
type Named = { currency: string; extras: readonly string[]; isPersonal: boolean };

/**
 * What would make a program fit, in a few words; figures with points and commas.
 *
 * @example leverInWords({ by: "down", change: 232500, … }, named) // "2,325.00 more down"
 */
export function leverInWords(lever: Lever, { currency, extras, isPersonal }: Named): string {
  const { moved } = lever;
  switch (moved.by) {
    case "down":
      return `${amountText("change" in lever ? lever.change : moved.to, currency)} more down`;
    case "payments":
      return `${moved.payments} payments`;
    case "extras":
      return `no ${moved.left.map(index => extras[index] ?? `extra ${index + 1}`).join(", no ")}`;
    case "price":
      return `${isPersonal ? "an amount" : "a price"} of ${amountText(moved.to, currency)}`;
  }
}
