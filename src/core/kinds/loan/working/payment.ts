import { PRECISE, worthOf } from "../../../annuity";
import { decimalText } from "../../../money";
import { over } from "../../../precise";
import { asGiven, counted, moneyWriter, type WorkingStep } from "../../../working";
import { type LoanQuote, type Machine, machineOf } from "../quote";
import { explainLoanAmount, loanName } from "./amounts";
import { explainPeriodRate } from "./rate";

const ODD_FIRST_SOURCE = "12 CFR 1026, Appendix J, (b)(5): odd days as a part of a period";

/** How the payment came about. */
export function explainPayment(quote: LoanQuote): WorkingStep {
  const machine = machineOf(quote);
  const { terms, loan } = machine;
  if (terms.solver.worth.solved <= 0) return explainLastPayment(quote);
  const computed = terms.solver.rounded(loan.amount, loan.balloon);
  if (loan.solved !== computed) return explainGivenPayment(quote, computed);
  if (quote.kind === "flatRate") return explainFlatPayment(quote);
  if (quote.kind === "equalPrincipal") return explainFallingPayment(quote);
  const money = moneyWriter(quote);
  const { formula, filled, remark } = isPlain(quote)
    ? plainFormula(quote, machine)
    : worthFormula(quote, machine);
  return {
    name: "Payment",
    formula,
    filled,
    result: money(quote.payment),
    rounding: `${unroundedText(machine)} ${roundingText(quote)}`,
    remark: `i is the rate of one period as a fraction and n the number of payments.${remark}`,
    ...(quote.oddFirstPeriod && { source: ODD_FIRST_SOURCE }),
    parts: [explainPeriodRate(quote), explainLoanAmount(quote)],
  };
}

/** A payment that was given and does not divide the loan evenly. */
function explainGivenPayment(quote: LoanQuote, computed: number): WorkingStep {
  const money = moneyWriter(quote);
  const payment = computed + quote.payment - quote.solved;
  return {
    ...asGiven("Payment", money(quote.payment)),
    remark: `Payments of ${money(payment)} would divide the loan evenly; the given one stays, and the last takes what is left.`,
    parts: [explainLastPayment(quote)],
  };
}

/** What is solved for, to six decimals. */
function unroundedText({ terms, loan }: Machine): string {
  const { solved, amounts, atEnd } = worthOf(loan.draft.runs, loan.draft.balloonRate, PRECISE);
  const left = PRECISE.whole(loan.amount) - amounts - BigInt(loan.balloon) * atEnd;
  const denominator = PRECISE.one * 10n ** BigInt(terms.decimals);
  return decimalText({ numerator: over(left, solved), denominator }, 6);
}

/** Whether the payments are level over equal periods in arrears, so that the closed formula says it all. */
function isPlain({ isLevel, agreedBalloon, filled: { plan } }: LoanQuote): boolean {
  const { timing = "arrears", dayCount = "equal" } = plan;
  return isLevel && agreedBalloon === 0 && timing === "arrears" && dayCount === "equal";
}

/** The first payment of those that fall: the part of the principal that each repays, and its interest. */
function explainFallingPayment(quote: LoanQuote): WorkingStep {
  const money = moneyWriter(quote);
  const interest = quote.payment - quote.solved;
  return {
    name: "Payment",
    formula: "part of the principal + interest on what is owed",
    filled: `${money(quote.solved)} + ${money(interest)}`,
    result: money(quote.payment),
    remark:
      "This is the first. The part of the principal stays the same; the interest falls with what is owed.",
    ...(quote.oddFirstPeriod && { source: ODD_FIRST_SOURCE }),
    parts: [explainPrincipalPart(quote), explainPeriodRate(quote), explainLoanAmount(quote)],
  };
}

/** The part of the principal that each payment of an equal-principal loan repays. */
function explainPrincipalPart(quote: LoanQuote): WorkingStep {
  const machine = machineOf(quote);
  const { solved, atEnd } = machine.terms.solver.worth;
  const money = moneyWriter(quote);
  const amount = money(quote.loanAmount);
  // Without a deferral that adds interest, parts are worth as much as there are of them.
  const isCount = Number.isInteger(solved);
  const [divisor, worth] = isCount
    ? ["number of parts", String(solved)]
    : ["worth of parts of 1", solved.toFixed(8)];
  const hasBalloon = quote.agreedBalloon > 0;
  return {
    name: "Part of the principal",
    formula: hasBalloon
      ? `(${loanName(quote)} − balloon × worth at the end) ÷ ${divisor}`
      : `${loanName(quote)} ÷ ${divisor}`,
    filled: hasBalloon
      ? `(${amount} − ${money(quote.agreedBalloon)} × ${atEnd.toFixed(8)}) ÷ ${worth}`
      : `${amount} ÷ ${worth}`,
    result: money(quote.solved),
    rounding: `${unroundedText(machine)} ${roundingText(quote)}`,
    remark: isCount
      ? "The last payment takes what the rounded parts leave."
      : "Worth is less than the number of parts because interest is added to what is owed before the first. The last payment takes what the rounded parts leave.",
    parts: [],
  };
}

type Formula = { formula: string; filled: string; remark: string };

function plainFormula(quote: LoanQuote, { terms }: Machine): Formula {
  const { draft, firstSpan, payments } = terms;
  const amount = moneyWriter(quote)(quote.loanAmount);
  const rate = (draft.runs.at(-1)?.rate ?? { value: 0 }).value;
  if (rate === 0) {
    return { formula: `${loanName(quote)} ÷ payments`, filled: `${amount} ÷ ${payments}`, remark: "" };
  }
  const i = rateText(rate);
  const periods = firstSpan && spanText(firstSpan.periods, firstSpan);
  return {
    formula: `${loanName(quote)} × i ÷ (1 − (1 + i)^−n)${periods ? " × (1 + i·f) ÷ (1 + i)" : ""}`,
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

function worthFormula(quote: LoanQuote, { terms, loan }: Machine): Formula {
  const money = moneyWriter(quote);
  const { solved, amounts, atEnd } = terms.solver.worth;
  const agreed = amounts > 0 ? ` − ${money(Math.round(amounts))}` : "";
  const balloon = loan.balloon > 0 ? ` − ${money(loan.balloon)} × ${atEnd.toFixed(8)}` : "";
  return {
    formula: `(${loanName(quote)} − worth of agreed payments − balloon × worth at the end) ÷ worth of payments of 1`,
    filled: `(${money(loan.amount)}${agreed}${balloon}) ÷ ${solved.toFixed(8)}`,
    remark:
      " Worth is what money due later comes to when the loan is paid out: discounted by every period before it, a date with just interest discounting nothing.",
  };
}

function explainFlatPayment(quote: LoanQuote): WorkingStep {
  const { loanAmount, financeCharge, deal } = quote;
  const money = moneyWriter(quote);
  const charge = financeCharge - (deal.plan.prepaidCharge ?? 0);
  return {
    name: "Payment",
    formula: `(${loanName(quote)} + interest for the term) ÷ payments`,
    filled: `(${money(loanAmount)} + ${money(charge)}) ÷ ${quote.plannedPayments}`,
    result: money(quote.payment),
    rounding: roundingText(quote),
    remark:
      "The interest is on the original amount for the whole term; the last payment takes up the rounding.",
    parts: [explainLoanAmount(quote)],
  };
}

/** How the last payment came about. */
export function explainLastPayment(quote: LoanQuote): WorkingStep {
  const { kind, finalPayment, schedule } = quote;
  const money = moneyWriter(quote);
  const last = schedule.findLast(row => row.kind === "payment" || row.kind === "interestOnly");
  const before = (last?.balance ?? 0) + (last?.principal ?? 0);
  const leaves = last && last.balance > 0 ? " − what stays owing" : "";
  const charge = kind === "flatRate" ? "the charge that is left" : "its interest";
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

/**
 * How payments are rounded, in words.
 *
 * @example roundingText(quote) // "rounded to the nearest 0.01, halves up"
 */
export function roundingText(quote: LoanQuote): string {
  const { rule, step } = machineOf(quote).terms.rounding;
  const smallest = moneyWriter(quote)(step);
  return {
    nearest: `rounded to the nearest ${smallest}, halves up`,
    up: `rounded up to ${smallest}`,
    down: `rounded down to ${smallest}`,
  }[rule];
}
