import { type LoanQuote, periodsPerYear } from "@/core";
import type { SheetRows } from "../../workbook-parts/sheet-rows";
import { dateOfPayment, firstPeriodSteps } from "./first-period";
import { flatRows } from "./flat-rows";
import { whyKept } from "./live-plan";
import { type PlanInputs, planInputs } from "./plan-inputs";
import { isAddedAtPayments, periodRateStep, solvedPayment } from "./solved-payment";
import type { StructureCells } from "./structure-rows";
import { type At, roomOf, START } from "./table-sheet";

/** What the table needs of a plan: formulas, each of what it says. */
export type PlanCells = {
  /** Whether its payments are values; else each row is made by formulas. */
  isKept: boolean;
  isFlat: boolean;
  isInAdvance: boolean;
  hasBalloon: boolean;
  /** A sentence where something went blank. */
  note: string;
  start: string;
  loanAmount: string;
  /** The amount financed. */
  financed: string;
  count: string;
  interestOnly: string;
  solved: string;
  balloon: string;
  /** What is owed after the last payment. */
  floor: string;
  rateOf: (k: number) => string;
  interestOf: (k: number, balance: string) => string;
  askedOf: (k: number, interest: string) => string;
  leastOf: (after: string, rate: string, row: string) => string;
  dateOf: (number: string) => string;
  chargeOf: (k: number, at: At) => string;
  chargeInFlow: (k: number, at: At) => string;
  leftBefore: (k: number, at: At) => string;
  flatInterest: (k: number, at: At) => string;
};

/** Writes what was typed of the plan, and the steps from it to a payment that nobody sees. */
export function planRows(
  quote: LoanQuote,
  rows: SheetRows,
  structure: StructureCells,
  { scale, table }: { scale: number; table: string },
): PlanCells {
  const { plan } = quote.filled;
  const kept = [...whyKept(quote), ...structure.kept];
  const inputs = planInputs(quote, rows, scale);
  const loan = structure.loanAmount;
  rows.hidden("Unchanged", rows.unchanged());
  periodRateStep(quote, rows, inputs);
  firstPeriodSteps(quote, rows, inputs);
  solvedPayment({ quote, rows, inputs, table, loan, isKept: kept.length > 0 });
  const solved = rows.named("Solved");
  const flat = flatRows(quote, rows, inputs, loan);
  const reasons = kept.join(", ").replaceAll('"', "”");
  return {
    isKept: kept.length > 0,
    isFlat: quote.kind === "flatRate",
    isInAdvance: plan.timing === "advance",
    hasBalloon: quote.agreedBalloon > 0,
    note: `IF(ISNUMBER(${solved}),"","${
      kept.length > 0
        ? `The payments are values (${reasons}): they hold for the figures that they were made with.`
        : `There is no payment for these figures; the number of payments can be 1 to ${roomOf(quote) - 1}.`
    }")`,
    start: inputs.signed === "" ? '""' : inputs.signed,
    loanAmount: loan,
    financed: `${loan}-(${structure.prepaid})`,
    count: inputs.count,
    interestOnly: inputs.interestOnly,
    solved,
    balloon: inputs.balloon,
    floor: rows.named("Owed_at_end"),
    dateOf: number => dateOfPayment(quote, rows, inputs.first, number),
    leftBefore: flat.leftBefore,
    flatInterest: flat.interest,
    ...interestOfRows(quote, rows, inputs),
    ...paymentOfRows(quote, rows, inputs),
    ...chargesOfRows(structure, roomOf(quote)),
  };
}

/** The rate of a row, and its interest: as computed exactly where interest is added at each payment. */
function interestOfRows(quote: LoanQuote, rows: SheetRows, { by }: PlanInputs) {
  const perYear = periodsPerYear(quote.filled.plan.frequency);
  const named = rows.named;
  const [rate, length, of] = [named("Period_rate"), named("First_length"), named("First_of")];
  const isExact = isAddedAtPayments(quote);
  return {
    rateOf: (k: number) => (k === 1 ? `${rate}*${length}/${of}` : rate),
    interestOf: (k: number, balance: string) => {
      const [share, parts] = k === 1 ? [`*${length}`, `*${of}`] : ["", ""];
      return isExact
        ? `ROUND(${balance}*${named("Rate_digits")}${share}/(100*${by}*${perYear}${parts}),0)`
        : `ROUND(${balance}*${rate}${share}${k === 1 ? `/${of}` : ""},0)`;
    },
  };
}

/** What is asked on a date, and the least that has to be owed after it so that the balloon is reached. */
function paymentOfRows(quote: LoanQuote, rows: SheetRows, { count, interestOnly, extraEach }: PlanInputs) {
  const solved = rows.named("Solved");
  const isPrincipal = quote.kind === "equalPrincipal";
  /** The smallest amount that with one period's interest, less a payment, comes to another. */
  const leastBefore = (after: string, rate: string, payment: string) => {
    const near = `INT((${after}+${payment})/(1+${rate}))`;
    const reaches = (amount: string) => `${amount}+ROUND((${amount})*${rate},0)-${payment}>=${after}`;
    return `MAX(IF(${reaches(`(${near}-1)`)},${near}-1,IF(${reaches(near)},${near},${near}+1)),0)`;
  };
  return {
    askedOf: (k: number, interest: string) =>
      `IF(${k}<=${interestOnly},${interest},${solved}${isPrincipal ? `+${interest}` : ""})+${extraEach}`,
    leastOf: (after: string, rate: string, row: string) => {
      const level = `IF(${solved}>=ROUND(${after}*${rate},0),${after},${leastBefore(after, rate, solved)})`;
      const planned = `IF(${row}<=${interestOnly},${after},${isPrincipal ? after : level})`;
      return `IF(${row}=${count},${leastBefore(after, rate, "0")},${planned})`;
    },
  };
}

/** What falls with the payment of a row. */
function chargesOfRows({ withPayments: { first, last, each } }: StructureCells, room: number) {
  const of = (part: "all" | "inCharge") => (k: number, at: At) => {
    const row = START + k;
    const isFirst = k === 1 ? "1" : `IF(SUM(${at("payment", START + 1)}:${at("payment", row - 1)})=0,1,0)`;
    const isLast = `IF(COUNTIF(${at("state", row + 1)}:${at("state", START + room + 1)},1)=0,1,0)`;
    return `(${each[part]})+(${first[part]})*${isFirst}+(${last[part]})*${isLast}`;
  };
  return { chargeOf: of("all"), chargeInFlow: of("inCharge") };
}
