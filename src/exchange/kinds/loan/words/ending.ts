import type { LoanQuote } from "@/core";
import type { SentenceWriter } from "../../kind/segment";

/** What a loan's sentence ends with where payments are left out, change, or end before their time; empty elsewhere. */
export function loanEnding(quote: LoanQuote, { money }: Pick<SentenceWriter, "money">): string {
  const { plannedPayments, payments, paymentsMade, saved } = quote;
  const without = payments - paymentsMade;
  const early = plannedPayments - payments;
  return [
    without > 0 ? `On ${without} of the dates nothing is paid.` : "",
    stepsText(quote),
    saved ? `Extra payments ${savedText(saved, money)}.` : "",
    early > 0 && !saved ? `Rounding up ends the loan ${times(early)} early.` : "",
  ]
    .filter(Boolean)
    .join(" ");
}

/** When the payment changes. */
function stepsText({ filled: { plan } }: LoanQuote): string {
  const steps = plan.steps ?? [];
  if (steps.length === 0) return "";
  if (steps.length > MOST_STEPS_SAID) return `The payment changes ${steps.length} times.`;
  const numbers = steps.map(({ from }) => String(from));
  const list = numbers.length > 1 ? `${numbers.slice(0, -1).join(", ")} and ${numbers.at(-1)}` : numbers[0];
  return `The payment changes from payment ${list} on.`;
}

const MOST_STEPS_SAID = 3;

function times(count: number): string {
  return `${count} ${count === 1 ? "payment" : "payments"}`;
}

function savedText(
  { interest, payments, earlyFee = 0 }: NonNullable<LoanQuote["saved"]>,
  money: SentenceWriter["money"],
): string {
  if (interest < 0)
    return `are charged ${money(earlyFee)} and save ${payments > 0 ? `${times(payments)}, but ` : ""}only ${money(interest + earlyFee)} interest`;
  return `save ${money(interest)}${payments > 0 ? ` and ${times(payments)}` : ""}`;
}
