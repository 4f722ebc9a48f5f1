import type { RowRounding } from "./departure";
import type { Choice } from "./way";

/** To how many decimals rates and factors are rounded. */
export const ROUNDED_PLACES = [4, 5, 6, 7, 8];

const ROWS: readonly RowRounding[] = ["down", "none", "halfEven"];

/** Each row's interest, or rent, rounded otherwise than half up. */
export function rowChoices<Way extends { rows: RowRounding }>(): Choice<Way>[] {
  return ROWS.map(rule => ({
    departure: { kind: "rowInterest", rule },
    count: 1,
    change: way => ({ ...way, rows: rule }),
  }));
}
