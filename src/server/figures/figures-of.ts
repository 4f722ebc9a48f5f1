import { evaluateLease, FREQUENCY_NAMES, type Result, summarize } from "@/core";
import type { KeptFigures } from "@/data/register-figures";
import { type DealInputs, isLeaseInputs, readDeal } from "@/exchange/deal-file";
import { readLease } from "@/exchange/lease-file";
import { registerKind, termName } from "@/exchange/option-words";

/** What the register shows of an option, as the core answers it. */
export function figuresOf(inputs: DealInputs): KeptFigures {
  const { currency, plan } = inputs;
  const paid = paidText(plan);
  const figures = answered(inputs);
  const told = { currency, paid, planKind: registerKind(inputs), chosenName: termName(inputs) };
  if (!figures.ok) return { ...told, payment: null, amountFinanced: null, problem: figures.failure.sentence };
  const { payment, amountFinanced } = figures.value;
  return { ...told, payment, amountFinanced, problem: null };
}

/** How it is paid; of a lease, that it is one. */
function paidText(plan: DealInputs["plan"]): string {
  const { adjective } = FREQUENCY_NAMES[plan.frequency];
  if (plan.kind !== "lease") return plan.datedPayments ? "listed" : adjective;
  return plan.inAdvance === plan.payments ? "lease, paid at once" : `${adjective} lease`;
}

/** The payment, and what is financed: of a lease its adjusted capitalized cost. */
function answered(inputs: DealInputs): Result<{ payment: number; amountFinanced: number }> {
  if (isLeaseInputs(inputs)) {
    const lease = readLease(inputs);
    const quote = lease.ok ? evaluateLease(lease.value) : lease;
    if (!quote.ok) return quote;
    return { ok: true, value: { payment: quote.value.payment, amountFinanced: quote.value.cost } };
  }
  const deal = readDeal(inputs);
  const quote = deal.ok ? summarize(deal.value) : deal;
  if (!quote.ok) return quote;
  const { payment, amountFinanced } = quote.value;
  return { ok: true, value: { payment, amountFinanced } };
}
