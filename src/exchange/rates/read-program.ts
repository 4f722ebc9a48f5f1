import { currencyDecimals, type DayNumber, formatAmount, parseAmount, parseIsoDate } from "@/core";
import type { Adjustment, LeaseProgram, LoanProgram, Program, RateRow } from "@/core/programs";
import { readReserve } from "../dealer";
import type { LeaseProgramFile, LoanProgramFile, ProgramFile } from "../dealer/program.schema";

/** Where in a program something is wrong, by the names of its members and the places in its lists, and what. */
export type Problem = { path: readonly (string | number)[]; sentence: string };

/** A program as the core reckons with it, or the first thing that is wrong with it. */
type ReadProgram = { ok: true; program: Program } | { ok: false; problem: Problem };

/** Turns a program that passed its schema into the one that the core computes with. */
export function readProgram(lender: string, file: ProgramFile): ReadProgram {
  const decimals = currencyDecimals(file.currency);
  if (decimals === undefined) return wrong(["currency"], `${file.currency} is not a currency of ISO 4217.`);
  const read = reader(decimals);
  const common = readCommon(lender, file, read);
  const program: Program =
    file.kind === "lease" ? readLeaseProgram(file, common, read) : readLoanProgram(file, common, read);
  const problem = read.problem() ?? problemOf(file, program);
  return problem ? { ok: false, problem } : { ok: true, program };
}

const wrong = (path: Problem["path"], sentence: string): ReadProgram => ({
  ok: false,
  problem: { path, sentence },
});

type Typed = string | number | undefined;
type Read = {
  amount: (path: Problem["path"], typed: Typed) => number | null;
  day: (path: Problem["path"], typed: string | undefined) => DayNumber | null;
  problem: () => Problem | undefined;
};

/** Reads amounts and days, and keeps the first that cannot be read. */
function reader(decimals: number): Read {
  let first: Problem | undefined;
  const refuse = (path: Problem["path"], sentence: string) => {
    first ??= { path, sentence };
    return null;
  };
  return {
    amount: (path, typed) => {
      if (typed === undefined) return null;
      const minor = parseAmount(String(typed), decimals);
      return minor ?? refuse(path, `${typed} is not an amount with at most ${decimals} decimals.`);
    },
    day: (path, typed) => {
      if (typed === undefined) return null;
      return parseIsoDate(typed) ?? refuse(path, `${typed} is not a date from 1900-01-01 to 2199-12-31.`);
    },
    problem: () => first,
  };
}

const textOr = (typed: Typed): string | null => (typed === undefined ? null : String(typed));

type Common = Omit<LoanProgram, "kind" | "balloon" | "fee">;

function readCommon(lender: string, file: ProgramFile, read: Read): Common {
  const { valid = {}, vehicle = {}, amount = {}, mostExtras, reserve } = file;
  return {
    lender,
    name: file.name,
    currency: file.currency,
    from: read.day(["valid", "from"], valid.from),
    to: read.day(["valid", "to"], valid.to),
    condition: file.condition ?? null,
    mostYears: vehicle.mostYears ?? null,
    mostYearsAtEnd: vehicle.mostYearsAtEnd ?? null,
    mostDistance: vehicle.mostDistance ?? null,
    unit: vehicle.unit ?? null,
    leastAmount: read.amount(["amount", "least"], amount.least),
    mostAmount: read.amount(["amount", "most"], amount.most),
    mostLoanTo: (file.mostLoanTo ?? []).map(each => ({ ...each, percent: String(each.percent) })),
    leastDown: textOr(file.leastDown),
    mostExtras: mostExtras ? { ...mostExtras, percent: String(mostExtras.percent) } : null,
    mostPaymentToIncome: textOr(file.mostPaymentToIncome),
    mostDebtToIncome: textOr(file.mostDebtToIncome),
    firstPaymentWithin: file.firstPaymentWithin ?? null,
    rates: file.rates.map(rateRow),
    adjust: (file.adjust ?? []).map(adjustment),
    mostRate: textOr(file.mostRate),
    rateStep: textOr(file.rateStep),
    notWith: file.notWith ?? [],
    reserve: reserve ? readReserve(reserve, (_, typed) => read.amount(["reserve"], typed)) : null,
  };
}

type RateFile = ProgramFile["rates"][number];

const rateRow = (row: RateFile): RateRow => ({
  from: row.from,
  to: row.to,
  leastScore: row.score?.least ?? null,
  mostScore: row.score?.most ?? null,
  buyRate: String(boughtAt(row)),
  mostSpread: textOr(row.mostSpread),
});

/** What a row buys at: a yearly rate, or a money factor. */
export const boughtAt = (row: RateFile): string | number =>
  ("moneyFactor" in row ? row.moneyFactor : undefined) ?? row.buyRate ?? "0";

function adjustment({ when, add }: NonNullable<ProgramFile["adjust"]>[number]): Adjustment {
  return "loanTo" in when
    ? { when: "loanTo", ...when.loanTo, above: String(when.loanTo.above), add: String(add) }
    : { when: "distance", above: when.distance.above, add: String(add) };
}

function readLoanProgram(file: LoanProgramFile, common: Common, read: Read): LoanProgram {
  const { kind, balloon, fee } = file;
  return {
    ...common,
    kind,
    balloon: balloon?.map(({ from = 1, to, most, of }) => ({ from, to, most: String(most), of })) ?? null,
    fee: fee
      ? {
          amount: read.amount(["fee", "amount"], fee.amount) ?? 0,
          paidBy: fee.paidBy,
          isFinanceCharge: fee.financeCharge ?? false,
        }
      : null,
  };
}

function readLeaseProgram(file: LeaseProgramFile, common: Common, read: Read): LeaseProgram {
  return {
    ...common,
    kind: "lease",
    reckoning: file.rates.some(({ moneyFactor }) => moneyFactor !== undefined) ? "moneyFactor" : "levelYield",
    residuals: (file.residuals ?? []).map(({ from, to, distance = null, percent }) => ({
      from,
      to,
      distance,
      percent: String(percent),
    })),
    acquisitionFee: read.amount(["acquisitionFee"], file.acquisitionFee),
    dispositionFee: read.amount(["dispositionFee"], file.dispositionFee),
    purchaseFee: read.amount(["purchaseFee"], file.purchaseFee),
    beyond: file.beyond ?? null,
    mostCostToListPrice: textOr(file.mostCostToListPrice),
  };
}

/** What of a program contradicts itself. */
function problemOf(file: ProgramFile, program: Program): Problem | undefined {
  const { from, to, leastAmount, mostAmount } = program;
  if (from !== null && to !== null && from > to)
    return {
      path: ["valid"],
      sentence: `it ends on ${file.valid?.to}, before it begins on ${file.valid?.from}.`,
    };
  if (leastAmount !== null && mostAmount !== null && leastAmount > mostAmount) {
    const decimals = currencyDecimals(file.currency) ?? 2;
    const [least, most] = [leastAmount, mostAmount].map(minor => formatAmount(minor, decimals));
    return { path: ["amount"], sentence: `the least amount ${least} is above the most, ${most}.` };
  }
  return rateProblem(file, program) ?? rowsProblem(program);
}

function rateProblem(file: ProgramFile, { rates }: Program): Problem | undefined {
  for (const [index, { leastScore, mostScore }] of rates.entries()) {
    if ((leastScore ?? 0) > (mostScore ?? Number.POSITIVE_INFINITY))
      return {
        path: ["rates", index, "score"],
        sentence: `the least score ${leastScore} is above the most, ${mostScore}.`,
      };
  }
  if (file.kind !== "lease") return undefined;
  const first = file.rates[0]?.moneyFactor === undefined ? "buyRate" : "moneyFactor";
  const other = file.rates.findIndex(
    row => row[first] === undefined || (row.moneyFactor === undefined) === (row.buyRate === undefined),
  );
  return other < 0
    ? undefined
    : {
        path: ["rates", other],
        sentence:
          "each row of a lease has a moneyFactor or a buyRate, and all rows have the same of the two.",
      };
}

type Row = { from: number; to: number };

/** Rows that end before they begin, and rows that overlap, both named. */
function rowsProblem(program: Program): Problem | undefined {
  const score = (row: RateRow) => [row.leastScore ?? 0, row.mostScore ?? Number.POSITIVE_INFINITY] as const;
  const shareScore = (one: RateRow, other: RateRow) =>
    score(one)[0] <= score(other)[1] && score(other)[0] <= score(one)[1];
  return (
    overlapOf("rates", program.rates, shareScore, (one, other) => {
      const least = Math.max(score(one)[0], score(other)[0]);
      return one.leastScore === null &&
        one.mostScore === null &&
        other.leastScore === null &&
        other.mostScore === null
        ? ""
        : ` and a score of ${least || Math.min(score(one)[1], score(other)[1])}`;
    }) ??
    (program.kind === "lease"
      ? overlapOf(
          "residuals",
          program.residuals,
          (one, other) => one.distance === other.distance,
          ({ distance }) => (distance === null ? "" : ` and a distance of ${distance} a year`),
        )
      : overlapOf(
          "balloon",
          program.balloon ?? [],
          () => true,
          () => "",
        ))
  );
}

function overlapOf<Of extends Row>(
  list: string,
  rows: readonly Of[],
  share: (one: Of, other: Of) => boolean,
  told: (one: Of, other: Of) => string,
): Problem | undefined {
  for (const [index, row] of rows.entries()) {
    if (row.from > row.to)
      return {
        path: [list, index],
        sentence: `it is from ${row.from} to ${row.to} months; the first is above the last.`,
      };
    const before = rows.findIndex(
      (each, place) => place < index && each.from <= row.to && row.from <= each.to && share(each, row),
    );
    const other = rows[before];
    if (other === undefined) continue;
    const months = Math.max(other.from, row.from);
    return {
      path: [list, index],
      sentence: `rows ${before + 1} and ${index + 1} of its ${list} overlap: both hold for ${months} months${told(other, row)}.`,
    };
  }
  return undefined;
}
