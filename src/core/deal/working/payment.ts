import { PRECISE, worthOf } from "../../annuity";
import { decimalText, groupedAmount } from "../../money";
import { over } from "../../precise";
import type { Quote } from "../quote";
import { explainAmountFinanced } from "./amounts";
import { explainPeriodRate } from "./rate";
import { counted, moneyWriter, type WorkingStep } from "./step";

/** How the level payment came about. */
export function explainPayment(quote: Quote): WorkingStep {
  const { terms, loan } = quote;
  if (terms.draft.flat) return explainFlatPayment(quote);
  if (terms.solver.worth.level <= 0) return explainLastPayment(quote);
  const money = moneyWriter({ terms });
  const { formula, filled, remark } = isPlain(quote) ? plainFormula(quote) : worthFormula(quote);
  const { level, amounts, atEnd } = worthOf(loan.draft.runs, loan.draft.balloonRate, PRECISE);
  const left = PRECISE.whole(loan.amount) - amounts - BigInt(loan.balloon) * atEnd;
  const unrounded = decimalText(
    { numerator: over(left, level), denominator: PRECISE.one * 10n ** BigInt(terms.decimals) },
    6,
  );
  return {
    name: "Payment",
    formula,
    filled,
    result: money(quote.payment),
    rounding: `${unrounded} ${roundingText(quote)}`,
    remark: `i is the rate of one period as a fraction and n the number of payments.${remark}`,
    ...(terms.firstSpan && { source: "12 CFR 1026, Appendix J, (b)(5): odd days as a part of a period" }),
    parts: [explainPeriodRate(quote), explainAmountFinanced(quote)],
  };
}

/** Whether the payments are level over equal periods in arrears, so that the closed formula says it all. */
function isPlain({ terms, loan }: Quote): boolean {
  const { runs, calendar, balloonRate } = terms.draft;
  const areLevel = runs.every(({ pay }) => pay.kind === "level" && pay.raises.length === 0);
  return (
    areLevel &&
    balloonRate === null &&
    loan.balloon === 0 &&
    calendar.timing === "arrears" &&
    calendar.dayCount === "equal"
  );
}

type Formula = { formula: string; filled: string; remark: string };

function plainFormula({ terms, loan }: Quote): Formula {
  const { draft, firstSpan, payments, decimals } = terms;
  const amount = groupedAmount(loan.amount, decimals);
  const rate = (draft.runs.at(-1)?.rate ?? { value: 0 }).value;
  if (rate === 0) {
    return { formula: "amount financed ÷ payments", filled: `${amount} ÷ ${payments}`, remark: "" };
  }
  const i = rateText(rate);
  const periods = firstSpan && spanText(firstSpan.periods, firstSpan);
  return {
    formula: `amount financed × i ÷ (1 − (1 + i)^−n)${periods ? " × (1 + i·f) ÷ (1 + i)" : ""}`,
    filled:
      `${amount} × ${i} ÷ (1 − (1 + ${i})^−${payments})` +
      (periods ? ` × (1 + ${i} × ${periods}) ÷ (1 + ${i})` : ""),
    remark: firstSpan
      ? ` The first period f is ${counted(firstSpan.months, "month")} and ${counted(firstSpan.days, "day")} at simple interest.`
      : "",
  };
}

/** The first period over the days of a 30-day month where it is counted so: 44/30. */
function spanText(
  { numerator, denominator }: { numerator: number; denominator: number },
  { months, days }: { months: number; days: number },
): string {
  const thirtieths = months * 30 + days;
  return numerator * 30 === thirtieths * denominator ? `${thirtieths}/30` : `${numerator}/${denominator}`;
}

function rateText(rate: number): string {
  return `${rate.toFixed(10).replace(/0+$/, "")}`;
}

function worthFormula({ terms, loan }: Quote): Formula {
  const money = moneyWriter({ terms });
  const { level, amounts, atEnd } = terms.solver.worth;
  const agreed = amounts > 0 ? ` − ${money(Math.round(amounts))}` : "";
  const balloon = loan.balloon > 0 ? ` − ${money(loan.balloon)} × ${atEnd.toFixed(8)}` : "";
  return {
    formula:
      "(amount financed − worth of agreed payments − balloon × worth at the end) ÷ worth of payments of 1",
    filled: `(${money(loan.amount)}${agreed}${balloon}) ÷ ${level.toFixed(8)}`,
    remark:
      " Worth is what money due later comes to when the loan is paid out: discounted by every period before it, a date with just interest discounting nothing.",
  };
}

function explainFlatPayment(quote: Quote): WorkingStep {
  const { terms, loan, financeCharge, deal } = quote;
  const money = moneyWriter({ terms });
  const charge = financeCharge - (deal.plan.prepaidCharge ?? 0);
  return {
    name: "Payment",
    formula: "(amount financed + interest for the term) ÷ payments",
    filled: `(${money(loan.amount)} + ${money(charge)}) ÷ ${terms.payments}`,
    result: money(quote.payment),
    rounding: roundingText(quote),
    remark:
      "The interest is on the original amount for the whole term; the last payment takes up the rounding.",
    parts: [explainAmountFinanced(quote)],
  };
}

/** How the last payment came about. */
export function explainLastPayment({ terms, finalPayment, schedule, loan }: Quote): WorkingStep {
  const money = moneyWriter({ terms });
  const last = schedule.findLast(({ kind }) => kind === "payment" || kind === "interestOnly");
  const before = (last?.balance ?? 0) + (last?.principal ?? 0);
  const leaves = last && last.balance > 0 ? " − what stays owing" : "";
  const charge = loan.draft.flat ? "the charge that is left" : "its interest";
  return {
    name: "Last payment",
    formula: `what is owed before it + ${charge}${leaves}`,
    filled: `${money(before)} + ${money(last?.interest ?? 0)}${leaves && last ? ` − ${money(last.balance)}` : ""}`,
    result: money(finalPayment),
    remark:
      "It takes up the rounding of the payments before it, so that nothing, or just the balloon, is left owing.",
    parts: [],
  };
}

/** "rounded to the nearest 0.01, halves up". */
export function roundingText({ terms }: Quote): string {
  const { rule, step } = terms.rounding;
  const smallest = groupedAmount(step, terms.decimals);
  return {
    nearest: `rounded to the nearest ${smallest}, halves up`,
    up: `rounded up to ${smallest}`,
    down: `rounded down to ${smallest}`,
  }[rule];
}
