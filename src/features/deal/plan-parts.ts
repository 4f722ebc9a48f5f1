import { FREQUENCY_NAMES, parseIsoDate } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import { longDate, typedAmountText } from "@/features/figures/format";

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
 * @example planParts(deal) // ["paid in advance", "balloon 30 % of the price"]
 */
export function planParts({ plan, currency }: Pick<DealFile, "plan" | "currency">): string[] {
  const money: Money = typed => typedAmountText(typed, currency);
  return [...howTimeCounts(plan, money), ...shapeOf(plan, money), ...extrasOf(plan, money)];
}

type Money = (typed: string | number) => string;

function howTimeCounts(
  { timing, compounding, dayCount, twiceMonthlyDays, roundingStep }: Plan,
  money: Money,
): string[] {
  return [
    timing === "advance" ? "paid in advance" : "",
    compounding && compounding !== "payments" ? `interest compounded ${COMPOUNDED[compounding]}` : "",
    dayCount && dayCount !== "equal" ? `days counted ${dayCount}` : "",
    twiceMonthlyDays ? `on days ${twiceMonthlyDays.join(" and ")} of the month` : "",
    roundingStep === undefined ? "" : `payment rounded in steps of ${money(roundingStep)}`,
  ].filter(Boolean);
}

function shapeOf(plan: Plan, money: Money): string[] {
  const { balloon, interestOnly, deferred, skippedMonths, steps, earning, prepaidCharge } = plan;
  const balloonText =
    balloon && ("percent" in balloon ? `${balloon.percent} % of the price` : money(balloon.amount));
  const waits = deferred?.interest === "waived" ? "without interest" : "with interest added";
  return [
    balloonText === undefined ? "" : `balloon ${balloonText}`,
    interestOnly === undefined ? "" : `just interest on the first ${interestOnly} payments`,
    deferred ? `no payment on the first ${deferred.payments} dates, ${waits}` : "",
    skippedMonths ? `no payment in ${skippedMonths.map(monthName).join(", ")}` : "",
    ...(steps ?? []).map(
      step =>
        `from payment ${step.from} ${"percent" in step ? `changed by ${step.percent} %` : money(step.amount)}`,
    ),
    earning === "sumOfDigits" ? "interest earned by the sum of the digits" : "",
    prepaidCharge === undefined ? "" : `charge at signing ${money(prepaidCharge)}`,
  ].filter(Boolean);
}

function extrasOf({ extra }: Plan, money: Money): string[] {
  return [
    extra?.each === undefined ? "" : `extra ${money(extra.each)} with every payment`,
    extra?.yearly ? `extra ${money(extra.yearly.amount)} every year from ${dateText(extra.yearly.from)}` : "",
    ...(extra?.once ?? []).map(
      ({ amount, date }) => `extra ${amount === undefined ? "to find" : money(amount)} on ${dateText(date)}`,
    ),
  ].filter(Boolean);
}

/** What a figure is found from, where it is not the payment: "for a total cost of 46,000.00". */
export function knownText(from: NonNullable<DealFile["from"]>, currency: string): string {
  const money: Money = typed => typedAmountText(typed, currency);
  if ("totalCost" in from) return `for a total cost of ${money(from.totalCost)}`;
  if ("financeCharge" in from) return `for a finance charge of ${money(from.financeCharge)}`;
  if ("amountFinanced" in from) return `for an amount financed of ${money(from.amountFinanced)}`;
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
