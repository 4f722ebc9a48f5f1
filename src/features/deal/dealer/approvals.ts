import { useMemo } from "react";
import { contractRate, groupedAmount, isoDate, isSameRate, parseIsoDate, type Quote } from "@/core";
import { type LenderAnswer, signedMinor } from "@/exchange/dealer";
import type { FieldName } from "../fields";
import type { Earning } from "./use-income";

const APPROVED: ReadonlySet<LenderAnswer["state"]> = new Set(["approved", "countered", "funded"]);

/** Whether a lender has taken a deal, be it otherwise than it was sent. */
const isApproval = ({ state }: LenderAnswer): boolean => APPROVED.has(state);

/** What of an option is beyond what a lender approved, or was paid otherwise than reckoned: a sentence, and where it is typed. */
type Beyond = { sentence: string; field?: FieldName };

/** What of an option a lender's approval does not cover; and what it paid otherwise than was reckoned. */
export function beyondApproval(answer: LenderAnswer, { quote, side, earned }: Earning): Beyond[] {
  if (!isApproval(answer)) return [];
  const money = (minor: number) => groupedAmount(minor, quote.decimals);
  const read = (typed: string | number | undefined) =>
    typed === undefined ? undefined : signedMinor(typed, quote.decimals);
  const [amount, received] = [read(answer.amount), read(answer.reserveReceived)];
  const lent = amountOf(quote);
  const said: Beyond[] = [];
  if (amount !== undefined && lent > amount)
    said.push({
      sentence: `${money(lent)} is ${money(lent - amount)} more than the ${money(amount)} approved.`,
      field: "price",
    });
  if (answer.payments !== undefined && quote.payments > answer.payments)
    said.push({
      sentence: `${quote.payments} payments are more than the ${answer.payments} approved.`,
      field: quote.filled.plan.kind === "lease" ? "lease/payments" : "payments",
    });
  const { buyRate } = answer;
  if (buyRate !== undefined && side.buyRate !== null && !isSameRate(String(buyRate), side.buyRate))
    said.push({ sentence: `It buys at ${buyRate}, and the deal reckons with ${side.buyRate}.` });
  if (buyRate !== undefined && Number(contractRate(quote)) < Number(buyRate))
    said.push({
      sentence: `The customer’s rate of ${contractRate(quote)} is below the ${buyRate} that it buys at.`,
      field: rateField(quote),
    });
  if (received !== undefined && earned.reserve !== null && received !== earned.reserve.amount)
    said.push({
      sentence: `Received ${money(received)}, reckoned ${money(earned.reserve.amount)}: ${money(received - earned.reserve.amount)}.`,
    });
  return said;
}

/** The same of the last approval, as marks for where the figures are typed. */
export function useBeyondApproval(
  earning: Earning | null,
  answers: readonly LenderAnswer[] | undefined,
): readonly Beyond[] {
  return useMemo(() => {
    const last = answers?.findLast(isApproval);
    return earning && last ? beyondApproval(last, earning) : [];
  }, [earning, answers]);
}

const rateField = ({ filled: { plan } }: Quote): FieldName => {
  if (plan.kind !== "lease") return "yearlyRate";
  return plan.reckoning === "moneyFactor" ? "lease/moneyFactor" : "lease/yearlyRate";
};

/** The loan amount, or the adjusted capitalized cost, in minor units. */
const amountOf = (quote: Quote): number => ("loanAmount" in quote ? quote.loanAmount : quote.cost);

/** The customer is told so long after the application: 12 CFR 1002.9(a)(1). */
const DAYS_TO_NOTICE = 30;

/** In the United States, where every lender has declined: by when the customer is to be told. */
export function noticeDue(answers: readonly LenderAnswer[], place: string | undefined): string | null {
  if (place !== "US" || answers.length === 0 || answers.some(({ state }) => state !== "declined"))
    return null;
  const days = answers.flatMap(({ on }) => (on === undefined ? [] : (parseIsoDate(on) ?? [])));
  const by = days.length > 0 ? ` by ${isoDate(Math.min(...days) + DAYS_TO_NOTICE)}` : "";
  return `Every lender has declined: the customer is to have a notice of it${by}, within 30 days of the application (12 CFR 1002.9).`;
}
