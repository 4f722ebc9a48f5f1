import {
  currencyDecimals,
  type DayNumber,
  formatAmount,
  parseAmount,
  parseIsoDate,
  type Result,
  success,
} from "@/core";
import type { Program } from "@/core/programs";
import type { DealFile } from "../deal-file";
import type { Applicant, DealerOfOption } from "../dealer";
import type { ProgramsQuestion } from "../questions/programs-question.schema";
import type { ToFit } from "./deal-to-fit";
import { type LeverTold, type ProgramTold, programsOnDeal } from "./programs-on-deal";

/** What an option is held against programs with. */
type Beside = {
  programs: readonly Program[];
  applicant: Applicant | undefined;
  dealer: DealerOfOption;
  place: string | undefined;
  /** A day number. */
  today: DayNumber;
};

const ALL = 5000;

/** Answers which programs fit an option, as plain JSON: amounts and rates as decimal strings. */
export function answerProgramsQuestion(
  question: ProgramsQuestion,
  inputs: DealFile,
  { programs, applicant, dealer, place, today }: Beside,
): Result<object> {
  const { rank = "payment", spread = "0", most = ALL, on, vehicle } = question;
  const told = programsOnDeal(programs, {
    inputs,
    known: {
      vehicle: vehicle && vehicleOf(vehicle, inputs.currency),
      applicant,
      today: (on === undefined ? undefined : parseIsoDate(on)) ?? today,
    },
    dealer,
    place,
    spread: String(spread),
    rank,
    usualTerms: [],
    from: 0,
    most: Number(most),
  });
  if (!told.ok) return told;
  const { fits, unknown, unfit, rows } = told.value;
  return success({ fits, unknown, unfit, programs: rows.map(row => rowJson(row, inputs.currency)) });
}

function vehicleOf(vehicle: NonNullable<ProgramsQuestion["vehicle"]>, currency: string): ToFit["vehicle"] {
  const decimals = currencyDecimals(currency) ?? 2;
  const minor = (typed: string | number | undefined) =>
    typed === undefined ? null : (parseAmount(String(typed), decimals) ?? null);
  const { condition = null, modelYear, distance, distanceUnit = null } = vehicle;
  return {
    currency,
    condition,
    modelYear: modelYear === undefined ? null : Number(modelYear),
    distance: distance === undefined ? null : Number(distance),
    distanceUnit,
    invoiceMinor: minor(vehicle.invoice),
    bookValueMinor: minor(vehicle.bookValue),
    listPriceMinor: minor(vehicle.listPrice),
  };
}

function rowJson(row: ProgramTold, currency: string) {
  const money = (minor: number | null) =>
    minor === null ? null : formatAmount(minor, currencyDecimals(currency) ?? 2);
  const pays = ({ rate, payment, totalCost }: LeverTold | ProgramTold) => ({
    rate,
    payment: money(payment),
    totalCost: money(totalCost),
  });
  const leverJson = (lever: LeverTold) => ({
    fitsWith: lever.words,
    ...(lever.usual !== null && { usualTerm: lever.usual }),
    ...pays(lever),
  });
  return {
    lender: row.lender,
    program: row.name,
    fits: row.state === "fits" ? true : row.state === "unfit" ? false : null,
    buyRate: row.buyRate,
    ...pays(row),
    income: money(row.income),
    ...(row.reasons.length > 0 && {
      reasons: row.reasons.map(({ words, lever }) => ({ reason: words, ...(lever && leverJson(lever)) })),
    }),
    ...(row.levers.length > 0 && { levers: row.levers.map(leverJson) }),
  };
}
