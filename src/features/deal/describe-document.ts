import { evaluate, parseIsoDate } from "@/core";
import type { DealDocument } from "@/exchange/deal-document";
import { readDeal } from "@/exchange/deal-file";
import { amountText, longDate, yearsText } from "@/features/figures/format";
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
  const found = (figure: typeof find, given: string) => {
    if (find !== figure) return given;
    return quote.ok ? `${amount(quote.value[figure])}, found` : "no answer";
  };
  const date = (iso: string | undefined, missing: string) => {
    const day = iso === undefined ? undefined : parseIsoDate(iso);
    return day === undefined ? missing : longDate(day);
  };
  return {
    Customer: customer || "–",
    "Vehicle or purpose": vehicle || "–",
    Status: STATUS_NAMES[status],
    Currency: inputs.currency,
    Price: found("price", amount(price)),
    "Trade-in allowance": amount(tradeIn.allowance),
    "Owed on trade-in": amount(tradeIn.owed),
    "Cash down": found("down", down && "percent" in down ? `${down.percent} %` : amount(down?.amount ?? 0)),
    "Amount financed": quote.ok ? amount(quote.value.amountFinanced) : "no answer",
    "Yearly rate": plan.yearlyRate === undefined ? "–" : `${plan.yearlyRate} %`,
    "Number of payments":
      plan.payments === undefined ? "–" : `${plan.payments} (${yearsText(plan.payments)})`,
    Payment: found("payment", deal.ok ? amount(deal.value.plan.payment) : "–"),
    "Payment rounded": plan.rounding ?? "nearest",
    "Contract date": date(plan.signed, "–"),
    "First payment": date(plan.firstPayment, "one month after the contract"),
  };
}
