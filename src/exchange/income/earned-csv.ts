import { currencyDecimals, formatAmount } from "@/core";
import { decimalIn, harmlessText, type Notation, spreadsheetAmount } from "../notation";
import { csvText } from "../notation/csv";
import type { EarnedFigures } from "./earned-figures";

/** A deal as it stands in the table of what was earned. */
type Line = Pick<
  EarnedFigures,
  "currency" | "front" | "back" | "reserve" | "officerShare" | "spread" | "reason"
> & {
  customer: string;
  vehicle: string;
  signedOn: string | null;
};

const FIELDS = [
  ...[
    "Signed on",
    "Customer",
    "Vehicle",
    "Currency",
    "Front gross",
    "Back gross",
    "Reserve",
    "Officer’s share",
  ],
  ...["Spread", "Why this spread"],
];

/**
 * What deals earn as CSV (RFC 4180), a deal a line: decimal points, or as a spreadsheet of a place reads it; a figure that is
 * not known is empty.
 */
export function earnedCsv(lines: readonly Line[], notation?: Notation): string {
  const data = lines.map(line => {
    const decimals = currencyDecimals(line.currency) ?? 2;
    const money = (minor: number | null) => {
      if (minor === null) return "";
      return notation ? spreadsheetAmount(minor, decimals, notation) : formatAmount(minor, decimals);
    };
    const points = (spread: number | null) => {
      if (spread === null) return "";
      return notation ? decimalIn(String(spread), notation) : String(spread);
    };
    const { signedOn, customer, vehicle, currency, front, back, reserve, officerShare, spread, reason } =
      line;
    return [
      ...[signedOn ?? "", harmlessText(customer), harmlessText(vehicle), currency],
      ...[money(front), money(back), money(reserve)],
      ...[money(officerShare), points(spread), harmlessText(reason ?? "")],
    ];
  });
  return csvText({ fields: FIELDS, data }, notation);
}
