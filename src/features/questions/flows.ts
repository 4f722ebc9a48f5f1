import {
  type AnnualPercentageRate,
  addMonths,
  annualPercentageRate,
  currencyDecimals,
  effectiveAnnualRate,
  formatAmount,
  isoDate,
  parseAmount,
  parseIsoDate,
  type Result,
  type Transaction,
} from "@/core";
import type { FreeQuestion } from "@/exchange/questions/questions.schema";
import { type Place, plainDay, plainTyped } from "./place";

/** Money on a day: minor units, above zero where the customer receives it. */
export type Flow = { date: number; minor: number /** Its place in the list, from 0. */; place: number };

type Flows = {
  flows: Flow[];
  transaction: Transaction;
  apr: AnnualPercentageRate;
  effective: number;
};

const EVERY = {
  weekly: 7,
  "two-weekly": 14,
  monthly: 1,
  quarterly: 3,
  "half-yearly": 6,
  yearly: 12,
} as const;
const IN_DAYS = new Set<string>(["weekly", "two-weekly"]);
const TIMES = /\s*[x×]\s*(\d{1,4})(?:\s+(weekly|two-weekly|monthly|quarterly|half-yearly|yearly))?$/i;
/** A date and an amount: apart by a tab or more than one space, else by the last space before a number. */
const COLUMNS = /^(.+?)(?:\t+|\s{2,}|\s*;\s*)(.+)$/;
const WORDS = /^(.*\S)\s+([+−–-]?\s*\p{Sc}?\s*\d[\d.,]*)$/u;

/**
 * Dated flows as they are typed or pasted, one on a line: a date and an amount, which is paid where it has a minus; "× 60"
 * repeats it every month.
 *
 * @returns the flows, or a sentence that names the first line that cannot be read
 */
export function readFlows(text: string, place: Place): { flows: Flow[] } | { sentence: string } {
  const flows: Flow[] = [];
  const lines = text.split("\n").map(line => line.trim());
  for (const [index, line] of lines.entries()) {
    if (line === "") continue;
    const read = readLine(line, place);
    if (!read) {
      return {
        sentence: `Line ${index + 1}: “${line}” is not a date with an amount, such as 24 Nov 2026 −470.00.`,
      };
    }
    flows.push(...read.map((flow, place) => ({ ...flow, place: flows.length + place })));
  }
  return flows.length === 0 ? { sentence: "Type or paste dates with their amounts." } : { flows };
}

function readLine(line: string, place: Place): Omit<Flow, "place">[] | undefined {
  const [said = "", times = "1", every = "monthly"] = TIMES.exec(line) ?? [];
  const one = line.slice(0, line.length - said.length);
  // The year of a date alone is no amount.
  if (plainDay(one, place) !== undefined) return undefined;
  const [, day = "", amount = ""] = COLUMNS.exec(one) ?? WORDS.exec(one) ?? [];
  const [, sign = "", digits = ""] = /^([+−–-]?)\s*(.*)$/.exec(amount.trim()) ?? [];
  const iso = plainDay(day, place);
  const date = iso === undefined ? undefined : parseIsoDate(iso);
  const plain = plainTyped(digits, "amount", place);
  const decimals = currencyDecimals(place.currency) ?? 2;
  const minor = plain === undefined ? undefined : parseAmount(Number(plain).toFixed(decimals), decimals);
  if (date === undefined || !minor) return undefined;
  const step = EVERY[every.toLowerCase() as keyof typeof EVERY];
  const at = (count: number) => (IN_DAYS.has(every) ? date + step * count : addMonths(date, step * count));
  return Array.from({ length: Number(times) }, (_, count) => ({
    date: at(count),
    minor: sign === "" || sign === "+" ? minor : -minor,
  }));
}

/** The rates of flows. */
export function answerFlows(flows: Flow[]): Result<Flows> {
  const dated = (isWanted: (minor: number) => boolean) =>
    flows
      .filter(({ minor }) => isWanted(minor))
      .map(({ date, minor }) => ({ date, amount: Math.abs(minor) }));
  const transaction = { advances: dated(minor => minor > 0), payments: dated(minor => minor < 0) };
  const apr = annualPercentageRate(transaction);
  if (!apr.ok) return apr;
  const effective = effectiveAnnualRate(transaction);
  if (!effective.ok) return effective;
  return { ok: true, value: { flows, transaction, apr: apr.value, effective: effective.value } };
}

/** What is asked, as it is filed. */
export function flowsQuestion({ advances, payments }: Transaction, currency: string): FreeQuestion {
  const decimals = currencyDecimals(currency) ?? 2;
  const filed = (list: Transaction["payments"]) =>
    list.map(({ date, amount }) => ({ date: isoDate(date), amount: formatAmount(amount, decimals) }));
  return { ask: "apr", advances: filed(advances), payments: filed(payments) };
}

/** What a filed question asks, as it is typed. */
export function flowsText({ advances, payments }: Extract<FreeQuestion, { ask: "apr" }>): string {
  return [
    ...advances.map(({ date, amount }) => `${date}\t${amount}`),
    ...payments.map(({ date, amount }) => `${date}\t−${amount}`),
  ].join("\n");
}
