import type { LoanQuote } from "@/core";
import {
  DAYS_OF,
  dateAfter,
  halfMonthsAfter,
  MONTHS_OF,
  placeAmong,
  type TwoDays,
  twoDaysOf,
} from "../../workbook-parts/dates";
import { halfMonthDate, twoDaysRows } from "../../workbook-parts/half-month-rows";
import type { SheetRows } from "../../workbook-parts/sheet-rows";
import type { PlanInputs } from "./plan-inputs";

/** Writes how long the first period is, as a share of a regular one: whole months and thirtieths, or days. */
export function firstPeriodSteps(quote: LoanQuote, rows: SheetRows, inputs: PlanInputs): void {
  const { plan } = quote.filled;
  const { signed, first } = inputs;
  const days = DAYS_OF[plan.frequency];
  const share = (length: string, of: string) => {
    rows.hidden("First_length", length);
    rows.hidden("First_of", of);
  };
  if (plan.frequency === "twiceAMonth" && first !== "") halfMonthSteps(quote, rows, inputs);
  if (plan.timing === "advance") share("0", "1");
  else if (signed === "" || first === "") share("1", "1");
  else if (days !== undefined) share(`${first}-${signed}`, String(days));
  else {
    const between = `(YEAR(${first})-YEAR(${signed}))*12+MONTH(${first})-MONTH(${signed})`;
    rows.hidden("First_months", `${between}-IF(EDATE(${first},-(${between}))<${signed},1,0)`);
    const whole = rows.named("First_months");
    rows.hidden("First_days", `EDATE(${first},-${whole})-${signed}`);
    inMonths(quote, rows, inputs, share);
  }
}

/** One period on from the contract date is a regular one, whatever days its months have. */
function inMonths(
  { filled: { plan } }: LoanQuote,
  { named }: SheetRows,
  { signed, first }: PlanInputs,
  share: (length: string, of: string) => void,
): void {
  const [whole, odd] = [named("First_months"), named("First_days")];
  const months = MONTHS_OF[plan.frequency];
  if (months === undefined) {
    share(`IF(${named("Is_regular")},15,${whole}*30+${odd})`, "15");
    return;
  }
  const isRegular = `EDATE(${signed},${months})=${first}`;
  const counted = `${whole}*30+${odd}`;
  if (plan.frequency !== "yearly") {
    share(`IF(${isRegular},${30 * months},${counted})`, String(30 * months));
    return;
  }
  // Odd days of a year are of 365, where no whole months are left over.
  const years = `INT(${whole}/12)`;
  const byDays = `${years}*365+EDATE(${first},-12*${years})-${signed}`;
  const isByDays = `AND(NOT(${isRegular}),${odd}>0)`;
  share(`IF(${isRegular},360,IF(${odd}>0,${byDays},${counted}))`, `IF(${isByDays},365,360)`);
}

/** Writes the two days of the month, and where the first payment stands among them. */
function halfMonthSteps(
  { filled: { plan } }: LoanQuote,
  rows: SheetRows,
  { signed, first }: PlanInputs,
): void {
  const given = plan.twiceMonthlyDays;
  const agreed: TwoDays | undefined = given && { earlier: String(given[0]), later: String(given[1]) };
  // Where the first payment follows from the contract date, so do the days.
  const ofSigned = agreed ?? twoDaysOf(signed);
  const days = agreed ?? (plan.firstPayment === null && signed !== "" ? ofSigned : twoDaysOf(first));
  twoDaysRows(rows, first, days);
  if (signed === "") return;
  const place = placeAmong(signed, ofSigned);
  const step = (periods: string) => halfMonthsAfter(signed, periods, place, ofSigned);
  rows.hidden("Is_regular", `AND(${step("0")}=${signed},${step("1")}=${first})`);
}

/** The date of a payment by its number. */
export function dateOfPayment(
  { filled: { plan } }: LoanQuote,
  rows: SheetRows,
  first: string,
  number: string,
): string {
  const periods = `(${number}-1)`;
  return plan.frequency === "twiceAMonth" && first !== ""
    ? halfMonthDate(rows, first, periods)
    : dateAfter(plan.frequency, first, periods);
}
