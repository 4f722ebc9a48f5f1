import {
  currencyDecimals,
  type Frequency,
  formatAmount,
  type Money,
  parseAmount,
  type Result,
  solveTimeValue,
  type TimeValue,
  type TimeValueAnswer,
} from "@/core";
import type { FreeQuestion } from "@/exchange/questions/questions.schema";
import { rateText } from "@/exchange/text";
import { type Place, plainTyped } from "./place";

export type Amounts = "presentValue" | "payment" | "futureValue";
export type Figure = Amounts | "payments" | "yearlyRate";
export type Direction = Money["direction"];

/** The five figures as they are typed, which is found, and what else a sentence says. */
export type Asked = {
  find: Figure;
  texts: Record<Figure, string>;
  directions: Record<Amounts, Direction>;
  frequency: Frequency;
  timing: "arrears" | "advance";
  compounding: NonNullable<TimeValue["compounding"]>;
};

const NAMES: Record<Figure, string> = {
  presentValue: "money now",
  payment: "payment",
  futureValue: "money at the end",
  payments: "number of payments",
  yearlyRate: "yearly rate",
};

const KINDS: Record<Figure, "amount" | "payments" | "percent"> = {
  presentValue: "amount",
  payment: "amount",
  futureValue: "amount",
  payments: "payments",
  yearlyRate: "percent",
};

export const FIGURES = Object.keys(NAMES) as Figure[];

/** The figures read; or the first that cannot be. */
function readAsked(
  { find, texts, directions, ...rest }: Asked,
  place: Place,
): { plan: TimeValue; wrong?: undefined } | { wrong: Figure; sentence: string } {
  const plain: Partial<Record<Figure, string>> = {};
  for (const figure of FIGURES) {
    if (figure === find) continue;
    const read = plainTyped(texts[figure], KINDS[figure], place, rest.frequency);
    if (read === undefined) {
      const typed = texts[figure].trim();
      return {
        wrong: figure,
        sentence: typed === "" ? `The ${NAMES[figure]} is missing.` : `“${typed}” is no ${NAMES[figure]}.`,
      };
    }
    plain[figure] = read;
  }
  const decimals = currencyDecimals(place.currency) ?? 2;
  const money = (figure: Amounts): Money | null => {
    const text = plain[figure];
    if (text === undefined) return null;
    return {
      amount: parseAmount(Number(text).toFixed(decimals), decimals) ?? 0,
      direction: directions[figure],
    };
  };
  return {
    plan: {
      find,
      currency: place.currency,
      presentValue: money("presentValue"),
      payment: money("payment"),
      futureValue: money("futureValue"),
      payments: plain.payments === undefined ? null : Number(plain.payments),
      yearlyRate: plain.yearlyRate ?? null,
      ...rest,
    },
  };
}

/** The answer to what is asked. */
export function answerAsked(
  asked: Asked,
  place: Place,
): Result<{ plan: TimeValue; answer: TimeValueAnswer }> {
  const read = readAsked(asked, place);
  if ("wrong" in read && read.wrong)
    return { ok: false, failure: { figure: read.wrong, sentence: read.sentence } };
  const { plan } = read as { plan: TimeValue };
  const answer = solveTimeValue(plan);
  return answer.ok ? { ok: true, value: { plan, answer: answer.value } } : answer;
}

/** A figure of an answer as it is typed; of money the way it goes. */
export function foundText(answer: TimeValueAnswer, figure: Figure, currency: string): string {
  if (figure === "payments") return String(Number(answer.payments.toFixed(4)));
  if (figure === "yearlyRate") return rateText(Number(answer.yearlyRate.toFixed(6)));
  return formatAmount(answer[figure].amount, currencyDecimals(currency) ?? 2);
}

/** What is asked, as it is filed. */
export function questionOf(plan: TimeValue): FreeQuestion {
  const decimals = currencyDecimals(plan.currency) ?? 2;
  const money = (of: Money | null) =>
    of === null ? undefined : ({ [of.direction]: formatAmount(of.amount, decimals) } as { paid: string });
  const { find, payments, yearlyRate, frequency, compounding, timing } = plan;
  const question = {
    ask: "timeValue" as const,
    find,
    presentValue: money(plan.presentValue),
    payment: money(plan.payment),
    futureValue: money(plan.futureValue),
    payments: payments ?? undefined,
    yearlyRate: yearlyRate ?? undefined,
    frequency,
    compounding,
    timing,
  };
  return JSON.parse(JSON.stringify(question)) as FreeQuestion;
}

/** What a filed question asks, as it is typed. */
export function askedOf(question: Extract<FreeQuestion, { ask: "timeValue" }>): Asked {
  const { find, frequency, compounding = "payments", timing = "arrears", payments, yearlyRate } = question;
  const text = (of: (typeof question)["payment"]) =>
    of === undefined ? "" : String("paid" in of ? of.paid : of.received);
  const direction = (of: (typeof question)["payment"]): Direction =>
    of !== undefined && "received" in of ? "received" : "paid";
  return {
    find,
    frequency,
    compounding,
    timing,
    texts: {
      presentValue: text(question.presentValue),
      payment: text(question.payment),
      futureValue: text(question.futureValue),
      payments: payments === undefined ? "" : String(payments),
      yearlyRate: yearlyRate === undefined ? "" : String(yearlyRate),
    },
    directions: {
      presentValue: direction(question.presentValue),
      payment: direction(question.payment),
      futureValue: direction(question.futureValue),
    },
  };
}
