import { evaluateLease, FREQUENCY_NAMES, failure, type Result, success, summarize } from "@/core";
import type { FiguresFrom, KeptFigures } from "@/data/register-figures";
import { type DealFile, isLease } from "@/exchange/deal-file";
import { readLease } from "@/exchange/kinds/lease";
import { readLoan } from "@/exchange/kinds/loan";
import { registerKind, termName } from "@/exchange/option-words";
import { readSignedQuotes } from "@/exchange/signed-quote";

/** The same as {@link figuresOf}, from JSON. */
export const figuresFrom = ({ inputs, signed }: FiguresFrom): KeptFigures =>
  figuresOf(JSON.parse(inputs), signed === null ? undefined : JSON.parse(signed));

/**
 * What the register shows of an option, as the core answers it.
 *
 * @param signed what it was signed with, of any form; its figures are shown, whatever the core would answer
 */
export function figuresOf(inputs: DealFile, signed?: unknown): KeptFigures {
  const { currency, plan } = inputs;
  const paid = paidText(plan);
  const figures = signed === undefined ? answered(inputs) : signedWith(signed);
  const told = { currency, paid, planKind: registerKind(inputs), chosenName: termName(inputs) };
  if (!figures.ok) return { ...told, payment: null, amountFinanced: null, problem: figures.failure.sentence };
  const { payment, amountFinanced } = figures.value;
  return { ...told, payment, amountFinanced, problem: null };
}

/** How it is paid; of a lease, that it is one. */
function paidText(plan: DealFile["plan"]): string {
  const { adjective } = FREQUENCY_NAMES[plan.frequency];
  if (plan.kind !== "lease") return plan.datedPayments ? "listed" : adjective;
  return plan.inAdvance === plan.payments ? "lease, paid at once" : `${adjective} lease`;
}

/** The payment, and what is financed: of a lease its adjusted capitalized cost. Minor units. */
type Figures = { payment: number; amountFinanced: number };

function signedWith(stored: unknown): Result<Figures> {
  const [signed] = readSignedQuotes([stored]);
  if (signed?.kind === "loan") return success(signed.figures);
  if (signed?.kind !== "lease") return failure("payment", signed?.words.sentence ?? "");
  const { payment, adjustedCapitalizedCost } = signed.figures;
  return success({ payment, amountFinanced: adjustedCapitalizedCost });
}

function answered(inputs: DealFile): Result<Figures> {
  if (isLease(inputs)) {
    const lease = readLease(inputs);
    const quote = lease.ok ? evaluateLease(lease.value) : lease;
    if (!quote.ok) return quote;
    return { ok: true, value: { payment: quote.value.payment, amountFinanced: quote.value.cost } };
  }
  const deal = readLoan(inputs);
  const quote = deal.ok ? summarize(deal.value) : deal;
  if (!quote.ok) return quote;
  const { payment, amountFinanced } = quote.value;
  return { ok: true, value: { payment, amountFinanced } };
}
