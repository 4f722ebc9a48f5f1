import type { DealFile } from "../kinds";

/** What is written as a decimal and is no amount of money. */
const NO_AMOUNT = new Set(["yearlyRate", "moneyFactor", "percent", "rate", "beyond"]);
const DECIMAL = /^\d+(\.\d+)?$/;

/** Whether any amount of money was typed in a deal: its currency is then what they are in. */
export const hasAmounts = ({ structure, plan, from }: DealFile): boolean =>
  [structure, plan, from].some(part => holdsAmount(part, ""));

function holdsAmount(value: unknown, name: string): boolean {
  if (typeof value === "string") return !NO_AMOUNT.has(name) && DECIMAL.test(value);
  if (typeof value !== "object" || value === null) return false;
  return Object.entries(value).some(([member, each]) =>
    holdsAmount(each, Array.isArray(value) ? name : member),
  );
}
