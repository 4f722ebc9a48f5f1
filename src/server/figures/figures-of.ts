import { FREQUENCY_NAMES, summarize } from "@/core";
import type { KeptFigures } from "@/data/register-figures";
import { type DealFile, readDeal } from "@/exchange/deal-file";

/** What the register shows of an option, as the core answers it. */
export function figuresOf(inputs: DealFile): KeptFigures {
  const { currency, plan } = inputs;
  const paid = plan.datedPayments ? "listed" : FREQUENCY_NAMES[plan.frequency].adjective;
  const deal = readDeal(inputs);
  const quote = deal.ok ? summarize(deal.value) : deal;
  if (!quote.ok) {
    return { currency, payment: null, paid, amountFinanced: null, problem: quote.failure.sentence };
  }
  const { payment, amountFinanced } = quote.value;
  return { currency, payment, paid, amountFinanced, problem: null };
}
