import { type LoanQuote, periodsPerYear } from "@/core";
import type { SheetRows } from "../../workbook-parts/sheet-rows";
import type { PlanInputs } from "./plan-inputs";
import { columnOf, roomOf, START } from "./table-sheet";

const COMPOUNDINGS: Record<string, number> = {
  daily: 365,
  weekly: 52,
  monthly: 12,
  quarterly: 4,
  halfYearly: 2,
  yearly: 1,
};

type SolvedOf = {
  quote: LoanQuote;
  rows: SheetRows;
  inputs: PlanInputs;
  table: string;
  /** The loan amount, in minor units. */
  loan: string;
  isKept: boolean;
};

/** Whether interest is added at each payment, so that it is a whole number's share of what is owed. */
export const isAddedAtPayments = ({ kind, filled: { plan } }: LoanQuote): boolean =>
  kind === "flatRate" || (plan.compounding ?? "payments") === "payments";

/** Writes the rate of a period: the yearly one shared out, or compounded otherwise. */
export function periodRateStep(quote: LoanQuote, rows: SheetRows, { rate, by }: PlanInputs): void {
  const { plan } = quote.filled;
  const perYear = periodsPerYear(plan.frequency);
  rows.hidden("Rate_digits", `ROUND(${rate}*${by},0)`);
  const yearly = `${rows.named("Rate_digits")}/(100*${by})`;
  const times = COMPOUNDINGS[plan.compounding ?? "payments"];
  rows.hidden(
    "Period_rate",
    isAddedAtPayments(quote)
      ? `${rows.named("Rate_digits")}/(100*${by}*${perYear})`
      : times === undefined
        ? `EXP(${yearly}/${perYear})-1`
        : `(1+${yearly}/${times})^(${times}/${perYear})-1`,
  );
}

/**
 * Writes what the plan is solved for: the level payment, the part of the principal in each, or a flat rate's payment; from the
 * unrounded formula, rounded by the plan's rule.
 */
export function solvedPayment(of: SolvedOf): void {
  const { quote, rows, inputs, loan, isKept } = of;
  const { balloon, count, interestOnly } = inputs;
  const { plan } = quote.filled;
  const named = rows.named;
  const perYear = periodsPerYear(plan.frequency);
  const isFlat = quote.kind === "flatRate";
  const grown = `ROUND(${balloon}/(1+${named("Period_rate")}),0)`;
  rows.hidden("Owed_at_end", plan.timing === "advance" ? grown : balloon);
  rows.hidden(
    "Charge",
    isFlat ? `ROUND(${loan}*${named("Rate_digits")}*${count}/(100*${inputs.by}*${perYear}),0)` : "0",
  );
  const unrounded = isFlat
    ? `(${loan}+${named("Charge")})/${count}`
    : quote.kind === "equalPrincipal"
      ? `(${loan}-${balloon})/(${count}-${interestOnly})`
      : levelPayment(of);
  const canBe = `AND(ISNUMBER(${loan}),${count}>=1,${count}<=${roomOf(quote) - 1})`;
  const live = `IF(${canBe},${roundedTo(unrounded, inputs)},"")`;
  const unchanged = named("Unchanged");
  const otherwise = isKept ? '""' : live;
  // A payment that was agreed stays as long as nothing else is another one.
  const isGiven = isKept || quote.filled.find !== "payment" || quote.deal.find !== "payment";
  rows.hidden("Solved", isGiven ? `IF(${unchanged},${quote.solved},${otherwise})` : live);
  const isEarnedByRate = isFlat && !isKept && plan.earning !== "sumOfDigits";
  rows.hidden(
    "True_rate",
    isEarnedByRate
      ? `IF(${named("Charge")}=0,0,RATE(${count},-(${unrounded}),${loan},0,0,1.5*${named("Period_rate")}))`
      : "0",
  );
}

/** What is worth the loan, less the balloon at its day, over what 1 of each payment is worth. */
function levelPayment({ quote, rows, inputs, table, loan }: SolvedOf): string {
  const { balloon, count, interestOnly } = inputs;
  const room = roomOf(quote);
  const worths = columnOf(table, "worth", room, START);
  const number = columnOf(table, "row", room);
  const worthAfter = (payments: string) => `INDEX(${worths},${payments}+1)`;
  const paid = `SUMIFS(${columnOf(table, "worth", room)},${number},">"&${interestOnly},${number},"<="&${count})`;
  const later = quote.filled.plan.timing === "advance" ? `/(1+${rows.named("Period_rate")})` : "";
  return `(${loan}*${worthAfter(interestOnly)}-${balloon}*${worthAfter(count)}${later})/${paid}`;
}

const roundedTo = (text: string, { rule, step }: PlanInputs) =>
  `IF(${rule}="up",ROUNDUP(ROUND((${text})/${step},6),0),IF(${rule}="down",ROUNDDOWN(ROUND((${text})/${step},6),0),ROUND((${text})/${step},0)))*${step}`;
