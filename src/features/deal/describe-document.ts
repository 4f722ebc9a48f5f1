import { parseIsoDate } from "@/core";
import type { DealDocument } from "@/exchange/deal-document";
import { longDate, yearsText } from "@/features/figures/format";
import { STATUS_NAMES } from "./status-names";

/** A deal's typed figures by name, for setting two versions side by side. */
export function describeDocument({
  customer,
  vehicle,
  status,
  inputs,
}: DealDocument): Record<string, string> {
  const { structure, plan, find, currency } = inputs;
  const amount = (value: string | number | undefined) => (value === undefined ? "–" : `${value} ${currency}`);
  const date = (iso: string | undefined, missing: string) => {
    const day = iso === undefined ? undefined : parseIsoDate(iso);
    return day === undefined ? missing : longDate(day);
  };
  const { down } = structure;
  const found = (figure: typeof find, otherwise: string) => (find === figure ? "to be found" : otherwise);
  return {
    Customer: customer || "–",
    "Vehicle or purpose": vehicle || "–",
    Status: STATUS_NAMES[status],
    Price: found("price", amount(structure.price)),
    "Trade-in allowance": amount(structure.tradeIn?.allowance),
    "Owed on the trade-in": amount(structure.tradeIn?.owed),
    "Cash down": found("down", down && "percent" in down ? `${down.percent} %` : amount(down?.amount)),
    "Yearly rate": plan.yearlyRate === undefined ? "–" : `${plan.yearlyRate} %`,
    "Number of payments":
      plan.payments === undefined ? "–" : `${plan.payments} (${yearsText(plan.payments)})`,
    "Payment rounded": plan.rounding ?? "nearest",
    "Contract date": date(plan.signed, "–"),
    "First payment": date(plan.firstPayment, "one month after the contract"),
    Payment: found("payment", amount(plan.payment)),
  };
}
