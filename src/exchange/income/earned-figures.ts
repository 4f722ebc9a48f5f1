import { evaluate, income, spreadOf } from "@/core";
import type { DealFile } from "../deal-file";
import { type DealerOfOption, type LenderAnswer, readSide, spreadReasonInWords } from "../dealer";
import { fileKindOf } from "../kinds";
import { fileReader } from "../reading";

/** A lender that has taken a deal and may still have to pay for it. */
export type Approval = {
  lender: string;
  /** Minor units; null where it was not said. */
  amount: number | null;
  /** What it still waits for. */
  open: string[];
  isFunded: boolean;
};

/** What is kept of what a deal earns: minor units; null where a figure is not known. */
export type EarnedFigures = {
  currency: string;
  front: number | null;
  back: number | null;
  reserve: number | null;
  officerShare: number | null;
  /** What was sold with it. */
  extras: string[];
  /** In points of rate, and why it is what it is. */
  spread: number | null;
  reason: string | null;
  approval: Approval | null;
  chargedBack: { on: string; amount: number }[];
};

/** What the chosen option of a deal earns, and how it stands with its lender. */
export function earnedFigures(
  inputs: DealFile,
  known: DealerOfOption,
  place: string | undefined,
): EarnedFigures {
  const { currency, structure } = inputs;
  const amounts = fileReader(currency);
  const told: EarnedFigures = {
    currency,
    ...{ front: null, back: null, reserve: null, officerShare: null, spread: null },
    extras: (structure.extras ?? []).map(({ name }) => name),
    reason: known.spreadReason ? spreadReasonInWords(known.spreadReason) : null,
    approval: approvalOf(known.lenderAnswers ?? [], typed => amounts.amount("income", "amount", typed)),
    chargedBack: (known.chargedBack ?? []).map(({ on, amount }) => ({
      on,
      amount: amounts.amount("income", "amount", amount) ?? 0,
    })),
  };
  const deal = fileKindOf(inputs).read(inputs);
  const quote = deal.ok ? evaluate(deal.value) : deal;
  const side = readSide(inputs, known);
  if (!quote.ok || !side.ok) return told;
  const { front, back, reserve, officerShare } = income(quote.value, side.value, place);
  const { buyRate } = side.value;
  return {
    ...told,
    front: front.total,
    back: back.total,
    reserve: reserve?.amount ?? null,
    officerShare,
    spread: buyRate === null ? null : spreadOf(quote.value, buyRate),
  };
}

/** The lender that has paid, else the last that has approved, else the last that was asked. */
function approvalOf(
  answers: readonly LenderAnswer[],
  read: (typed: string | number | undefined) => number | null,
): Approval | null {
  const lastOf = (...states: LenderAnswer["state"][]) =>
    answers.findLast(({ state }) => states.includes(state));
  const answer = lastOf("funded") ?? lastOf("approved", "countered") ?? lastOf("sent");
  if (!answer) return null;
  const { lender, state, stipulations = [] } = answer;
  return {
    lender,
    amount: read(answer.amount),
    open: stipulations.filter(({ on }) => on === undefined).map(({ name }) => name),
    isFunded: state === "funded",
  };
}
