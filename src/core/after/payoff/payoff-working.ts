import { isoDate } from "../../calendar";
import { accrualAfter, type EarlyFee, earlyFeeAt } from "../../kinds/loan/plan";
import { type LoanQuote, repaidOf } from "../../kinds/loan/quote";
import { counted, moneyWriter, type WorkingStep } from "../../working";
import type { Payoff } from "./payoff";
import { refundLaw } from "./refund-law";

/**
 * How a payoff comes about: the sum that is good through a day, or of the day where the deal has no dates.
 *
 * @param quote an answered deal
 * @param payoff what was answered
 * @param place whose law counts, by ISO 3166-1; none where it was not said
 * @example payoffWorking(campervan, payoffAfter(campervan, 24).value).filled // "27,234.44 + 0.00"
 */
export function payoffWorking(quote: LoanQuote, payoff: Payoff, place?: string): WorkingStep {
  const money = moneyWriter(quote);
  const { settle, settleThrough, goodThrough, date, perDay } = payoff;
  const onDay = sumOnDay(quote, payoff, place);
  if (settleThrough === null || goodThrough === null || date === null || perDay === null) return onDay;
  const days = goodThrough - date;
  const perDayText = (perDay / 10 ** quote.decimals).toFixed(6);
  return {
    name: "The sum good through the later day",
    formula: "the sum on the day + days beyond × each further day",
    filled: `${money(settle)} + ${days} × ${perDayText}`,
    result: money(settleThrough),
    rounding: "The interest of the days beyond is rounded half up, once.",
    remark: `Good through ${isoDate(goodThrough)}${payoff.passesPayment ? "; a payment that falls due by then is taken as not made" : ""}.`,
    parts: [
      onDay,
      {
        name: "Each further day",
        formula: "what is owed × what 1 of it bears the next day",
        filled: `on ${money(payoff.balance)} the day after ${isoDate(date)}`,
        result: perDayText,
        remark: "Not rounded before it is counted together.",
        parts: [],
      },
    ],
  };
}

function sumOnDay(quote: LoanQuote, payoff: Payoff, place: string | undefined): WorkingStep {
  const money = moneyWriter(quote);
  const { balance, interest, earlyFee, settle, afterPayment } = payoff;
  return {
    name: "The sum on the day",
    formula: `principal + interest since the last payment${earlyFee > 0 ? " + charge for paying early" : ""}`,
    filled: `${money(balance)} + ${money(interest)}${earlyFee > 0 ? ` + ${money(earlyFee)}` : ""}`,
    result: money(settle),
    ...(payoff.note !== undefined && { remark: payoff.note }),
    parts: [
      {
        name: afterPayment === 0 ? "Principal" : `Principal after payment ${afterPayment}`,
        formula: afterPayment === 0 ? "what was lent" : "the balance of the repayment table",
        filled: money(balance),
        result: money(balance),
        parts: [],
      },
      interestStep(quote, payoff, place),
      ...(earlyFee > 0 ? [chargeStep(quote, payoff)] : []),
    ],
  };
}

/** Interest since the last payment, by the plan's own convention. */
function interestStep(asked: LoanQuote, payoff: Payoff, place: string | undefined): WorkingStep {
  const money = moneyWriter(asked);
  const { afterPayment, date, balance, interest } = payoff;
  // A flat rate's charge is earned as the law of the place has it.
  const { quote } = refundLaw(asked, place);
  const accrual = accrualAfter(repaidOf(quote), afterPayment);
  const name = afterPayment === 0 ? "Interest since the start" : `Interest since payment ${afterPayment}`;
  if (date === null || date <= accrual.from)
    return { name, formula: "none on a payment's own day", filled: money(0), result: money(0), parts: [] };
  const { days, of } = accrual.share(date);
  const rate = accrual.rate(date);
  if (rate === null) {
    const row = quote.schedule[afterPayment];
    return {
      name,
      formula: "the next payment's part of the charge × days passed ÷ days of its period",
      filled: `${money(row?.interest ?? 0)} × ${days}/${of}`,
      result: money(interest),
      rounding: "Rounded half up.",
      parts: [],
    };
  }
  const { dayCount = "equal" } = quote.filled.plan;
  const hadExtra = quote.schedule.some(
    row => row.kind === "extra" && row.number === afterPayment + 1 && (row.date ?? date) < date,
  );
  return {
    name,
    formula: hadExtra
      ? "what is owed on each day × what 1 of it bears a day"
      : `principal × what 1 of it bears in ${counted(days, "day")}`,
    filled: hadExtra ? `over ${counted(days, "day")}` : `${money(balance)} × ${rate.toFixed(10)}`,
    result: money(interest),
    rounding: "Rounded half up.",
    remark:
      dayCount === "equal"
        ? `Over equal periods the interest of this one is shared out over its ${of} days.`
        : `Days are counted ${dayCount}.`,
    parts: [],
  };
}

/** What the plan charges for ending the loan early. */
function chargeStep(quote: LoanQuote, payoff: Payoff): WorkingStep {
  const money = moneyWriter(quote);
  const { afterPayment, date, balance, earlyFee } = payoff;
  const { from } = accrualAfter(repaidOf(quote), afterPayment);
  const isOnDay = date === null || date <= from;
  const fee = earlyFeeAt(quote.filled.plan.earlyFee ?? [], { after: afterPayment, isOnDay, isPayoff: true });
  return {
    name: "Charge for paying early",
    ...chargeFormula(fee, money(balance), money(earlyFee)),
    result: money(earlyFee),
    ...(fee?.most === "interestLeft" && { remark: "At most the interest still to come." }),
    parts: [],
  };
}

function chargeFormula(
  fee: EarlyFee | undefined,
  balance: string,
  charge: string,
): { formula: string; filled: string } {
  if (fee && "percent" in fee)
    return { formula: "percent of the principal paid early", filled: `${fee.percent} % of ${balance}` };
  if (fee && "interestPeriods" in fee)
    return {
      formula: "periods × the next period’s interest on the principal paid early",
      filled: `${counted(fee.interestPeriods, "period")} of interest on ${balance}`,
    };
  return { formula: "as agreed", filled: charge };
}
