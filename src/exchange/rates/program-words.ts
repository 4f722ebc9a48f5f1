import { parseIsoDate } from "@/core";
import { reserveInWords } from "../dealer";
import type { ProgramFile } from "../dealer/program.schema";
import { shortDate, typedAmountText } from "../text";
import { PROGRAM_KINDS } from "./program-kinds";
import { boughtAt } from "./read-program";
import { WORTHS } from "./reason-words";

/** One thing that a program says: what it is, and how much. */
type ProgramLine = { name: string; text: string };

type Row = ProgramFile["rates"][number];

const span = ({ from, to }: { from?: number | undefined; to: number }) =>
  from === undefined ? `to ${to} months` : from === to ? `${to} months` : `${from} to ${to} months`;

function scoreText({ score }: Row): string {
  if (score?.least !== undefined && score.most !== undefined)
    return `, score ${score.least} to ${score.most}`;
  if (score?.least !== undefined) return `, score from ${score.least}`;
  return score?.most === undefined ? "" : `, score to ${score.most}`;
}

/** A percent with two decimals at least, so that figures stand below one another. */
export function inHundredths(typed: string | number): string {
  const [whole = "", part = ""] = String(typed).split(".");
  return `${whole}.${part.padEnd(2, "0")}`;
}

/** All that a program says, line by line; figures with points and commas. */
export function programLines(program: ProgramFile): ProgramLine[] {
  return [
    { name: "kind", text: PROGRAM_KINDS[program.kind] },
    { name: "currency", text: program.currency },
    ...line("valid", validText(program)),
    ...program.rates.map(row => ({
      name: `${span(row)}${scoreText(row)}`,
      text: `${"moneyFactor" in row ? boughtAt(row) : `${inHundredths(boughtAt(row))} %`}${row.mostSpread === undefined ? "" : `, at most ${row.mostSpread} added`}`,
    })),
    ...limitLines(program),
    ...(program.kind === "lease" ? leaseLines(program) : loanLines(program)),
    ...(program.adjust ?? []).map(adjustLine),
    ...line("most rate", percentText(program.mostRate)),
    ...line("customer’s rate rounded up to", program.rateStep),
    ...line("not with", program.notWith?.join(", ")),
    ...line("reserve", program.reserve && reserveInWords(program.reserve, program.currency)),
  ];
}

const line = (name: string, text: string | number | undefined): ProgramLine[] =>
  text === undefined || text === "" ? [] : [{ name, text: String(text) }];

const percentText = (typed: string | number | undefined) => (typed === undefined ? undefined : `${typed} %`);

const dayText = (typed: string) => shortDate(parseIsoDate(typed) ?? 0);

/** Such as "1 Nov 2026 to 31 Jan 2027"; empty where it always is. */
export function validText({ valid = {} }: Pick<ProgramFile, "valid">): string {
  const { from, to } = valid;
  if (from !== undefined && to !== undefined) return `${dayText(from)} to ${dayText(to)}`;
  if (from !== undefined) return `from ${dayText(from)}`;
  return to === undefined ? "" : `to ${dayText(to)}`;
}

function limitLines(program: ProgramFile): ProgramLine[] {
  const { vehicle = {}, amount = {}, mostExtras, currency } = program;
  const money = (typed: string | number | undefined) =>
    typed === undefined ? undefined : typedAmountText(typed, currency);
  const unit = vehicle.unit ? ` ${vehicle.unit}` : "";
  return [
    ...line("condition", program.condition),
    ...line("most years", vehicle.mostYears),
    ...line("most years at the end", vehicle.mostYearsAtEnd),
    ...line(
      "most distance",
      vehicle.mostDistance === undefined ? undefined : `${vehicle.mostDistance}${unit}`,
    ),
    ...line("least amount", money(amount.least)),
    ...line("most amount", money(amount.most)),
    ...(program.mostLoanTo ?? []).map(({ percent, of, what }) => ({
      name: what === "all" ? "most loan" : "most loan without taxes, fees and extras",
      text: `${percent} % of ${WORTHS[of]}`,
    })),
    ...line("least paid down", percentText(program.leastDown)),
    ...line("most extras", mostExtras && `${mostExtras.percent} % of ${WORTHS[mostExtras.of]}`),
    ...line("most payment to income", percentText(program.mostPaymentToIncome)),
    ...line("most debt to income", percentText(program.mostDebtToIncome)),
    ...line(
      "first payment within",
      program.firstPaymentWithin === undefined ? undefined : `${program.firstPaymentWithin} days`,
    ),
  ];
}

function loanLines({ balloon, fee, currency }: Exclude<ProgramFile, { kind: "lease" }>): ProgramLine[] {
  return [
    ...(balloon?.length === 0 ? [{ name: "balloon", text: "none" }] : []),
    ...(balloon ?? []).map(row => ({
      name: `most balloon, ${span(row)}`,
      text: `${row.most} % of ${WORTHS[row.of]}`,
    })),
    ...line(
      "fee",
      fee &&
        `${typedAmountText(fee.amount, currency)}, paid by the ${fee.paidBy}${fee.financeCharge ? ", a finance charge" : ""}`,
    ),
  ];
}

function leaseLines(program: Extract<ProgramFile, { kind: "lease" }>): ProgramLine[] {
  const money = (typed: string | number | undefined) =>
    typed === undefined ? undefined : typedAmountText(typed, program.currency);
  const unit = program.vehicle?.unit ?? "";
  return [
    ...(program.residuals ?? []).map(row => ({
      name: `residual, ${span(row)}${row.distance === undefined ? "" : `, ${row.distance} ${unit} a year`.replace("  ", " ")}`,
      text: `${row.percent} % of list price`,
    })),
    ...line("acquisition fee", money(program.acquisitionFee)),
    ...line("disposition fee", money(program.dispositionFee)),
    ...line("purchase fee", money(program.purchaseFee)),
    ...line("distance beyond", program.beyond && `${program.beyond} each${unit && ` ${unit}`}`),
    ...line(
      "most capitalized cost",
      program.mostCostToListPrice && `${program.mostCostToListPrice} % of list price`,
    ),
  ];
}

function adjustLine({ when, add }: NonNullable<ProgramFile["adjust"]>[number]): ProgramLine {
  if ("distance" in when) return { name: `distance above ${when.distance.above}`, text: `+ ${add}` };
  const { above, of, what } = when.loanTo;
  const loan = what === "all" ? "loan" : "loan without taxes, fees and extras";
  return { name: `${loan} above ${above} % of ${WORTHS[of]}`, text: `+ ${add}` };
}
