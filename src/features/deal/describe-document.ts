import { evaluate, parseIsoDate, periodsPerYear, type Quote } from "@/core";
import type { DealDocument } from "@/exchange/deal-document";
import { readDeal } from "@/exchange/deal-file";
import { amountText, longDate, termText } from "@/features/figures/format";
import { planParts, planTitle } from "./plan-parts";
import { STATUS_NAMES } from "./status-names";

/** A deal's figures by name, typed and found, for setting two versions side by side. */
export function describeDocument({
  customer,
  vehicle,
  status,
  inputs,
}: DealDocument): Record<string, string> {
  const deal = readDeal(inputs);
  const quote = deal.ok ? evaluate(deal.value) : deal;
  const { plan, find } = inputs;
  const { price, tradeIn, down } = deal.ok
    ? deal.value.structure
    : { price: null, tradeIn: { allowance: null, owed: null }, down: null };

  const amount = (minor: number | null) => (minor === null ? "–" : amountText(minor, inputs.currency));
  const found = (figures: (typeof find)[], given: string, answer: (quote: Quote) => string) => {
    if (!figures.includes(find)) return given;
    return quote.ok ? `${answer(quote.value)}, found` : "no answer";
  };
  const perYear = periodsPerYear(plan.frequency);
  const payments = (count: number) => `${count} (${termText(count, perYear)})`;
  const date = (iso: string | undefined, missing: string) => {
    const day = iso === undefined ? undefined : parseIsoDate(iso);
    return day === undefined ? missing : longDate(day);
  };
  return {
    Customer: customer || "–",
    "Vehicle or purpose": vehicle || "–",
    Status: STATUS_NAMES[status],
    Currency: inputs.currency,
    Price: found(["price"], amount(price), answer => amount(answer.price)),
    "Trade-in allowance": found(["allowance"], amount(tradeIn.allowance), answer => amount(answer.allowance)),
    "Owed on trade-in": amount(tradeIn.owed),
    "Cash down": found(
      ["down", "downPercent"],
      down && "percent" in down ? `${down.percent} %` : amount(down?.amount ?? 0),
      answer => amount(answer.down),
    ),
    "Amount financed": quote.ok ? amount(quote.value.amountFinanced) : "no answer",
    Plan: [planTitle(plan), ...planParts(inputs)].join("; "),
    "Yearly rate": found(
      ["yearlyRate"],
      plan.yearlyRate === undefined ? "–" : `${plan.yearlyRate} %`,
      answer => `${answer.yearlyRate} %`,
    ),
    "Number of payments": found(
      ["payments"],
      plan.payments === undefined ? "–" : payments(plan.payments),
      answer => payments(answer.plannedPayments),
    ),
    Payment: found(["payment"], deal.ok ? amount(deal.value.plan.payment) : "–", answer =>
      amount(answer.payment),
    ),
    "Payment rounded": plan.rounding ?? "nearest",
    "Contract date": date(plan.signed, "–"),
    "First payment": date(plan.firstPayment, "one period after the contract"),
  };
}
