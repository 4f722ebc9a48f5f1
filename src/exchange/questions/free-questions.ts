import {
  annualPercentageRate,
  convertRate,
  currencyDecimals,
  effectiveAnnualRate,
  formatAmount,
  type Money,
  type RateKind,
  type Result,
  solveTimeValue,
  success,
  type Transaction,
} from "@/core";
import { fileReader, type Reader } from "../reading";
import { factorText, rateText } from "../text";
import type { FreeQuestion } from "./questions.schema";

type Asked<Word extends FreeQuestion["ask"]> = Extract<FreeQuestion, { ask: Word }>;

/** Answers a question that needs no deal, as plain JSON: amounts and rates as decimal strings. */
export function answerFreeQuestion(question: FreeQuestion, currency: string): Result<object> {
  switch (question.ask) {
    case "timeValue":
      return answerTimeValue(question, currency);
    case "rate":
      return answerRate(question);
    case "apr":
      return answerApr(question, currency);
  }
}

function answerTimeValue(question: Asked<"timeValue">, currency: string): Result<object> {
  const read = fileReader(currency);
  const { ask: _ask, presentValue, payment, futureValue, payments, yearlyRate, ...plan } = question;
  const found = question[question.find];
  if (found !== undefined) {
    read.refuse(question.find, `The figure to find, ${question.find}, is given; leave it out.`);
  }
  const given = {
    presentValue: readMoney(presentValue, "money now", read),
    payment: readMoney(payment, "payment", read),
    futureValue: readMoney(futureValue, "money at the end", read),
  };
  const failure = read.failure();
  if (failure) return { ok: false, failure };
  const answer = solveTimeValue({
    ...plan,
    ...given,
    currency,
    payments: payments === undefined ? null : Number(payments),
    yearlyRate: yearlyRate === undefined ? null : String(yearlyRate),
  });
  if (!answer.ok) return answer;
  const { last, ...figures } = answer.value;
  const amount = (minor: number) => formatAmount(minor, currencyDecimals(currency) ?? 2);
  const money = ({ direction, amount: minor }: Money) => ({ [direction]: amount(minor) });
  return success({
    sentence: figures.sentence,
    presentValue: money(figures.presentValue),
    payment: money(figures.payment),
    futureValue: money(figures.futureValue),
    payments: rateText(figures.payments),
    yearlyRate: rateText(figures.yearlyRate),
    ...(last && {
      fullPayments: last.fullPayments,
      lastPayment: amount(last.amount),
      balanceBefore: amount(last.balanceBefore),
      balanceAfter: amount(last.balanceAfter),
    }),
  });
}

function readMoney(money: Asked<"timeValue">["payment"], name: string, read: Reader): Money | null {
  if (money === undefined) return null;
  const direction = "received" in money ? "received" : "paid";
  const typed = "received" in money ? money.received : money.paid;
  return { amount: read.amount("presentValue", name, typed) ?? 0, direction };
}

type AskedKind = Asked<"rate">["from"];

const rateKind = (kind: AskedKind): RateKind =>
  kind.kind === "flat" ? { ...kind, payments: Number(kind.payments) } : kind;

function answerRate({ figure, from, to }: Asked<"rate">): Result<object> {
  const converted = convertRate(Number(figure), rateKind(from), rateKind(to));
  if (!converted.ok) return converted;
  const text = to.kind === "moneyFactor" ? factorText : rateText;
  return success({ figure: text(converted.value), ...to });
}

function answerApr({ advances, payments }: Asked<"apr">, currency: string): Result<object> {
  const read = fileReader(currency);
  const amounts = (list: typeof advances) =>
    list.map(({ date, amount }) => ({
      date: read.date("apr", "date", date) ?? 0,
      amount: read.amount("apr", "amount", amount) ?? 0,
    }));
  const transaction: Transaction = { advances: amounts(advances), payments: amounts(payments) };
  const failure = read.failure();
  if (failure) return { ok: false, failure };
  const apr = annualPercentageRate(transaction);
  if (!apr.ok) return apr;
  const effective = effectiveAnnualRate(transaction);
  if (!effective.ok) return effective;
  const { percent, unitPeriod } = apr.value;
  return success({ apr: rateText(percent), unitPeriod, effectiveRate: rateText(effective.value) });
}
