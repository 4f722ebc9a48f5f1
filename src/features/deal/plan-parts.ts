import { FREQUENCY_NAMES, parseIsoDate } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import { longDate } from "@/features/figures/format";

type Plan = DealFile["plan"];

const COMPOUNDED: Record<NonNullable<Plan["compounding"]>, string> = {
  payments: "at each payment",
  daily: "daily",
  weekly: "weekly",
  monthly: "monthly",
  quarterly: "quarterly",
  halfYearly: "half-yearly",
  yearly: "yearly",
  continuous: "without pause",
};

/** What kind of plan it is and how often it is paid: "loan, paid every two weeks". */
export function planTitle({ kind, frequency, datedPayments }: Plan): string {
  const name = kind === "flatRate" ? "flat-rate loan" : "loan";
  return datedPayments
    ? `${name}, ${datedPayments.length} listed payments`
    : `${name}, paid ${FREQUENCY_NAMES[frequency].every}`;
}

/**
 * The parts of a plan that came with a deal file and have no field on the screen, one phrase each.
 *
 * @example planParts({ …plan, timing: "advance", balloon: { percent: "30" } }) // ["paid in advance", "balloon 30 % of the price"]
 */
export function planParts(plan: Plan): string[] {
  return [...howTimeCounts(plan), ...shapeOf(plan), ...extrasOf(plan)];
}

function howTimeCounts({ timing, compounding, dayCount, twiceMonthlyDays, roundingStep }: Plan): string[] {
  return [
    timing === "advance" ? "paid in advance" : "",
    compounding && compounding !== "payments" ? `interest compounded ${COMPOUNDED[compounding]}` : "",
    dayCount && dayCount !== "equal" ? `days counted ${dayCount}` : "",
    twiceMonthlyDays ? `on days ${twiceMonthlyDays.join(" and ")} of the month` : "",
    roundingStep === undefined ? "" : `payment rounded in steps of ${roundingStep}`,
  ].filter(Boolean);
}

function shapeOf(plan: Plan): string[] {
  const { balloon, interestOnly, deferred, skippedMonths, steps, earning, prepaidCharge } = plan;
  const balloonText =
    balloon && ("percent" in balloon ? `${balloon.percent} % of the price` : balloon.amount);
  const waits = deferred?.interest === "waived" ? "without interest" : "with interest added";
  return [
    balloonText === undefined ? "" : `balloon ${balloonText}`,
    interestOnly === undefined ? "" : `just interest on the first ${interestOnly} payments`,
    deferred ? `no payment on the first ${deferred.payments} dates, ${waits}` : "",
    skippedMonths ? `no payment in ${skippedMonths.map(monthName).join(", ")}` : "",
    ...(steps ?? []).map(
      step => `from payment ${step.from} ${"percent" in step ? `changed by ${step.percent} %` : step.amount}`,
    ),
    earning === "sumOfDigits" ? "interest earned by the sum of the digits" : "",
    prepaidCharge === undefined ? "" : `charge at signing ${prepaidCharge}`,
  ].filter(Boolean);
}

function extrasOf({ extra }: Plan): string[] {
  return [
    extra?.each === undefined ? "" : `extra ${extra.each} with every payment`,
    extra?.yearly ? `extra ${extra.yearly.amount} every year from ${dateText(extra.yearly.from)}` : "",
    ...(extra?.once ?? []).map(({ amount, date }) => `extra ${amount ?? "to find"} on ${dateText(date)}`),
  ].filter(Boolean);
}

/** What a figure is found from, where it is not the payment: "for a total cost of 46000.00". */
export function knownText(from: NonNullable<DealFile["from"]>): string {
  if ("totalCost" in from) return `for a total cost of ${from.totalCost}`;
  if ("financeCharge" in from) return `for a finance charge of ${from.financeCharge}`;
  if ("amountFinanced" in from) return `for an amount financed of ${from.amountFinanced}`;
  if ("endDate" in from) return `to end by ${dateText(from.endDate)}`;
  return `to end after ${from.payments} payments`;
}

function dateText(iso: string): string {
  const day = parseIsoDate(iso);
  return day === undefined ? iso : longDate(day);
}

function monthName(month: number): string {
  return longDate(31 * (month - 1)).split(" ")[1] ?? "";
}
