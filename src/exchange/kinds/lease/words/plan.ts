import { FREQUENCY_NAMES, wholeText } from "@/core";
import { taxLimitWords } from "../../../structure";
import { fileWriter } from "../../../text";
import type { LeasePlanFile, LeaseTaxFile } from "../file/plan.schema";

/** When a residual falls due, as a phrase. */
export const RESIDUAL_DUE_WORDS = {
  lastPayment: "with the last payment",
  onePeriodAfter: "one period after the last payment",
  end: "at the end",
};

/** What a tax of a lease is on, as a phrase. */
export const LEASE_TAX_ON_WORDS: Record<LeaseTaxFile["on"][number], string> = {
  payment: "each payment",
  sumOfPayments: "the sum of payments",
  price: "the agreed price",
  reduction: "cash, rebates and trade-in",
  fees: "taxed fees",
  extras: "taxed extras",
  purchase: "the purchase at the end",
};

/** How a lease is reckoned, as a phrase. */
export const RECKONING_WORDS = { moneyFactor: "by money factor", levelYield: "by level yield" };

/**
 * What a lease's plan is beyond the figures that have fields, one phrase each.
 *
 * @example leasePlanWords(plan, "USD") // ["lease by money factor 0.00225", "paid every month", …]
 */
export function leasePlanWords(plan: LeasePlanFile, currency: string): string[] {
  const { money } = fileWriter(currency);
  const { reckoning, moneyFactor, yearlyRate, acquisitionFee, distance, roundingStep, taxes = [] } = plan;
  const rate = reckoning === "moneyFactor" ? moneyFactor : yearlyRate && `${yearlyRate} %`;
  return [
    ["lease", RECKONING_WORDS[reckoning], rate].filter(Boolean).join(" "),
    `paid ${FREQUENCY_NAMES[plan.frequency].every}`,
    `residual due ${RESIDUAL_DUE_WORDS[plan.residualDue ?? "end"]}`,
    ...taxes.map(tax => `${tax.name} ${leaseTaxWords(tax, money)}`),
    acquisitionFee?.financed === false ? "acquisition fee paid at signing" : "",
    acquisitionFee?.taxable ? "acquisition fee taxed" : "",
    distance ? distanceWords(distance) : "",
    plan.surplus === "customer" ? "what it brings beyond, ended early, is the customer’s" : "",
    Number(roundingStep) > 0 ? `rounded in steps of ${money(roundingStep ?? 0)}` : "",
  ].filter(Boolean);
}

/** How far a lease is driven, as a phrase. */
export function distanceWords({
  perYear,
  unit,
  beyond,
  expected,
}: NonNullable<LeasePlanFile["distance"]>): string {
  const driven = expected === undefined ? "" : `, ${wholeText(expected)} expected`;
  return `${wholeText(perYear)} ${unit} a year, then ${beyond} each${driven}`;
}

/** What a tax of a lease is, after its name. */
export function leaseTaxWords(tax: LeaseTaxFile, money: (typed: string | number) => string): string {
  const { rate, on, financed } = tax;
  return [
    `${rate} % on ${on.map(each => LEASE_TAX_ON_WORDS[each]).join(", ")}`,
    financed === false ? "paid at signing" : "",
    ...taxLimitWords(tax, money),
  ]
    .filter(Boolean)
    .join(", ");
}
