import { wholeText } from "@/core";
import type { BeyondPlace } from "@/core/programs";
import { amountText } from "../text";

const PLACES = 2;

/** A percent with two decimals, or as many as tell it from its limit. */
function percentText(percent: number, most: string): string {
  const short = percent.toFixed(PLACES);
  return Number(short) > Number(most) ? short : String(percent);
}

/**
 * What of a deal is beyond a limit of its place, in a few words; figures with points and commas.
 *
 * @example beyondInWords({ limit: "rate", is: 26, most: "24" }, "USD") // "rate 26.00 %, at most 24 %"
 */
export function beyondInWords(beyond: BeyondPlace, currency: string): string {
  switch (beyond.limit) {
    case "rate":
    case "apr": {
      const name = beyond.limit === "rate" ? "rate" : "APR of a personal loan";
      return `${name} ${percentText(beyond.is, beyond.most)} %, at most ${beyond.most} %`;
    }
    case "term":
      return `${wholeText(beyond.months)} months, at most ${wholeText(beyond.most)}`;
    case "documentFee":
      return `${beyond.name} ${amountText(beyond.amount, currency)}, at most ${amountText(beyond.most, currency)}`;
  }
}
