import type { LeaseQuote } from "@/core";
import { rounded, scaleOf } from "../../workbook-parts/rounding";
import type { SheetRows } from "../../workbook-parts/sheet-rows";

type Tax = LeaseQuote["filled"]["plan"]["taxes"][number];

/** The rate of a tax: where it stands, and by what it is a whole number; where a tax reckoned once stands. */
export type TaxRate = { tax: Tax; rate: string; by: string; at?: string };

/** What of the lines taxes and their credits are reckoned on: formulas in minor units. */
export type TaxedLines = Record<
  "price" | "fees" | "extras" | "allowances" | "equity" | "rebates" | "before",
  string
>;

const LINES = ["price", "fees", "extras"] as const;

/** Writes the rate of each tax, an input. */
export function taxRateRows(taxes: readonly Tax[], rows: SheetRows): TaxRate[] {
  return taxes.map((tax, index) => {
    const rate = rows.input(
      { label: `${tax.name}, percent`, format: "rate", name: `Tax_${index + 1}_percent` },
      Number(tax.rate),
    );
    return { tax, rate, by: rows.beside(scaleOf(rate)) };
  });
}

/** Whether a tax is on price, fees or extras. */
export const isOnLines = ({ on }: Tax) => LINES.some(part => on.includes(part));

/** Whether a tax is reckoned once, and not on payments or the purchase alone. */
export const isOnce = (tax: Tax) => isOnLines(tax) || tax.on.includes("reduction");

/** What a tax comes to on price, fees and extras alone. */
export const taxOnLines = (rate: TaxRate, lines: TaxedLines) => taxOf(rate, onLines(rate.tax, lines));

/** A tax that is reckoned once, on lines less credits and on the reduction, capped. */
export function onceTax(rate: TaxRate, lines: TaxedLines & { cash: string }): string {
  return taxOf(rate, `${onLines(rate.tax, lines)}${onReduction(rate.tax, lines)}`);
}

function onLines(tax: Tax, lines: TaxedLines): string {
  const taxed = LINES.filter(part => tax.on.includes(part)).map(part => lines[part]);
  return `MAX(${taxed.join("+") || "0"}-(${credit(tax, lines.allowances)})-(${creditedRebates(tax, lines)}),0)`;
}

function onReduction(tax: Tax, lines: TaxedLines & { cash: string }): string {
  if (!tax.on.includes("reduction")) return "";
  const worth = `MAX(${lines.equity},0)`;
  return `+MAX(${lines.cash},0)+(${lines.rebates})-(${creditedRebates(tax, lines)})+${worth}-(${credit(tax, worth)})`;
}

function credit({ tradeInCredit }: Tax, all: string): string {
  if (typeof tradeInCredit === "number") return `MIN(${all},${tradeInCredit})`;
  return tradeInCredit ? all : "0";
}

const creditedRebates = ({ rebateCredit }: Tax, lines: TaxedLines) =>
  rebateCredit ? lines.rebates : lines.before;

function taxOf({ tax: { capOn, cap, rounding }, rate, by }: TaxRate, on: string): string {
  const base = capOn === undefined ? `(${on})` : `MIN(${on},${capOn})`;
  const amount = rounded(`${base}*ROUND(${rate}*${by},0)/(100*${by})`, rounding);
  return cap === undefined ? amount : `MIN(${amount},${cap})`;
}
