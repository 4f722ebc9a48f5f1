import type { Departure, RateMeaning, Slip } from "@/core/match";
import { amountText, longDate } from "../text";

/** What amounts of a departure are written in. */
export type WordsOf = { currency: string; isLease: boolean };

/**
 * A departure as a phrase that follows "with", in plain notation.
 *
 * @example departureWords({ kind: "rowInterest", rule: "down" }, { currency: "USD", isLease: false }) // "each row’s interest rounded down"
 */
export function departureWords(departure: Departure, of: WordsOf): string {
  switch (departure.kind) {
    case "lines":
      return `${moreText(departure.more, of)} financed: ${linesText(departure.lines)}`;
    case "amount":
      return `${moreText(departure.more, of)} ${of.isLease ? "capitalized" : "financed"}, which no line explains`;
    case "firstDays":
      return departure.how === "notCharged"
        ? "the odd days before the first period not charged"
        : "the odd days paid for by the first payment alone";
    case "interestFrom":
      return `interest from ${longDate(departure.date)}, ${daysText(departure.days)} the contract date`;
    case "counting":
      return COUNTED[departure.count];
    case "timing":
      return timingText(departure.timing, of.isLease);
    case "compounding":
      return COMPOUNDED[departure.compounding];
    case "rounding":
      return `the payment rounded ${roundingText(departure.rule, departure.step, of)}`;
    case "rounded":
      return roundedText(departure);
    case "taxOn":
      return "the payment rounded once, together with its tax";
    case "rowInterest":
      return `each row’s ${of.isLease ? "rent" : "interest"} ${ROWS[departure.rule]}`;
    case "lastPayment":
      return "the last payment like all others";
    case "rate":
      return RATES[departure.as];
    case "slip":
      return slipText(departure, of);
  }
}

function moreText(more: number, { currency }: WordsOf): string {
  return `${amountText(Math.abs(more), currency)} ${more < 0 ? "less" : "more"}`;
}

type Line = Extract<Departure, { kind: "lines" }>["lines"][number];

const LINES: Record<Line["change"], string> = {
  leftOut: "left out",
  twice: "counted twice",
  financed: "financed, too",
};

function linesText(lines: readonly Line[]): string {
  const changes = [...new Set(lines.map(({ change }) => change))];
  return changes
    .map(change => {
      const names = lines.flatMap(line => (line.change === change ? [line.name] : []));
      return `${names.join(" and ")} ${LINES[change]}`;
    })
    .join("; ");
}

function daysText(days: number): string {
  const count = Math.abs(days) === 1 ? "1 day" : `${Math.abs(days)} days`;
  return `${count} ${days < 0 ? "before" : "after"}`;
}

const COUNTED: Record<Extract<Departure, { kind: "counting" }>["count"], string> = {
  equal: "equal periods in place of days",
  "30/360": "months of 30 days, years of 360",
  "actual/365": "real days over 365",
  "actual/360": "real days over 360",
  "actual/actual": "real days over the real days of each year",
  "noLeapDay/365": "real days over 365, without 29 February",
};

function timingText(timing: "arrears" | "advance", isLease: boolean): string {
  if (isLease) return timing === "advance" ? "one payment at signing" : "no payment at signing";
  return timing === "advance"
    ? "the first payment when the money is lent"
    : "payments at the end of each period";
}

const COMPOUNDED: Record<Extract<Departure, { kind: "compounding" }>["compounding"], string> = {
  payments: "interest added with each payment",
  daily: "interest added daily",
  weekly: "interest added weekly",
  monthly: "interest added monthly",
  quarterly: "interest added quarterly",
  halfYearly: "interest added half-yearly",
  yearly: "the rate taken for an effective one, interest added once a year",
  continuous: "interest added without pause",
};

function roundingText(rule: "nearest" | "up" | "down", step: number, { currency }: WordsOf): string {
  const way = rule === "nearest" ? "to the nearest" : rule;
  if (step === 1 && rule !== "nearest") return way;
  return rule === "nearest"
    ? `${way} ${amountText(step, currency)}`
    : `${way} in steps of ${amountText(step, currency)}`;
}

function roundedText({ what, decimals }: Extract<Departure, { kind: "rounded" }>): string {
  const places = `rounded to ${decimals} decimals`;
  switch (what) {
    case "rate":
      return `the payment from a period rate ${places}`;
    case "rateThroughout":
      return `a period rate ${places} throughout`;
    case "paymentFactor":
      return `the payment from a factor for each 1 ${places}`;
    case "factorPerThousand":
      return `the payment from a factor for each 1,000 ${places}`;
    case "moneyFactor":
      return `the money factor ${places}`;
  }
}

const ROWS: Record<Extract<Departure, { kind: "rowInterest" }>["rule"], string> = {
  halfUp: "rounded half up",
  halfEven: "rounded half to even",
  down: "rounded down",
  none: "not rounded",
};

const RATES: Record<RateMeaning, string> = {
  nominal: "the rate taken for a nominal one",
  flat: "interest on the original amount for the whole term",
  perPeriod: "the rate taken for each period in place of a year",
  moneyFactor: "the rate taken for a money factor",
  levelYield: "the payment from the yearly rate that goes with the money factor",
  effectiveApr: "their APR reckoned as an effective rate",
  actuarialApr: "their APR reckoned by the actuarial method",
  itsApr: "the rate taken for the APR, with the charges in it",
  isTheApr: "the APR, with its charges, taken for the rate",
  twoDecimals: "the rate rounded to two decimals",
};

const TAXED: Record<Extract<Slip, { slip: "taxBase" }>["what"], string> = {
  price: "the price",
  fees: "the fees",
  extras: "the extras",
  payment: "each payment",
  sumOfPayments: "the sum of the payments",
  reduction: "what reduces the cost",
  purchase: "the purchase at the end",
  tradeIn: "the trade-in",
  rebates: "the rebates",
};

const SWAPPED: Record<Extract<Slip, { slip: "digits" }>["figure"], string> = {
  price: "the price",
  down: "the cash down",
  allowance: "the trade-in allowance",
  owed: "what is owed on the trade-in",
  balloon: "the balloon",
  residual: "the residual",
  yearlyRate: "the rate",
  moneyFactor: "the money factor",
  payments: "the number of payments",
};

const IN_MONEY = new Set(["price", "down", "allowance", "owed", "balloon", "residual"]);

function slipText(slip: Slip, { currency }: WordsOf): string {
  switch (slip.slip) {
    case "downForgotten":
      return "the cash down forgotten";
    case "downTwice":
      return "the cash down taken off twice";
    case "owedSubtracted":
      return "what is owed on the trade-in taken off in place of added";
    case "balloonForgotten":
      return "the balloon forgotten";
    case "payments":
      return `${slip.to} payments in place of ${slip.from}${slip.isYears ? ", years taken for payments or the other way round" : ""}`;
    case "chargeFinanced":
      return `${slip.name} financed in place of paid at signing`;
    case "chargeAtSigning":
      return `${slip.name} paid at signing in place of financed`;
    case "taxBase":
      return taxText(slip);
    case "residualBase":
      return `the residual’s percent taken of the ${slip.of === "price" ? "price" : "list price"}`;
    case "digits": {
      const text = (typed: string) =>
        IN_MONEY.has(slip.figure) && !typed.endsWith("%") ? amountText(Number(typed), currency) : typed;
      return `two digits of ${SWAPPED[slip.figure]} swapped: ${text(slip.to)} in place of ${text(slip.from)}`;
    }
  }
}

function taxText({ name, what, isTaken }: Extract<Slip, { slip: "taxBase" }>): string {
  if (what === "tradeIn" || what === "rebates")
    return `${name} ${isTaken ? "with" : "without"} ${TAXED[what]} taken off what is taxed`;
  return `${name} ${isTaken ? "also on" : "not on"} ${TAXED[what]}`;
}
