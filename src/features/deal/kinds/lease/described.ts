import { evaluateLease } from "@/core";
import { type LeaseFile, leasePlanWords, readLease } from "@/exchange/kinds/lease";
import { structureWords } from "@/exchange/structure";
import { amountText } from "@/exchange/text";
import { type LeaseView, STRUCTURE_FIELD_NAMES } from "../../fields";
import { describedFields } from "../../option/described-fields";
import { LEASE_FIELD_NAMES } from "./fields/lease-fields";
import { LEASE } from "./lease";

/** A lease's figures by name, typed and found. */
export function describedLease(inputs: LeaseFile): Record<string, string> {
  const lease = readLease(inputs);
  const answer = lease.ok ? evaluateLease(lease.value) : lease;
  const quote = answer.ok ? answer.value : null;
  const view: LeaseView = { kind: "lease", inputs, deal: lease, quote };
  const { structure, plan, currency } = inputs;
  // Taxes of the structure are a loan's.
  const { taxes: _taxes, taxIncluded: _included, ...lines } = structure;
  const money = (minor: number | undefined) =>
    minor === undefined ? "no answer" : amountText(minor, currency);
  return {
    ...describedFields(STRUCTURE_FIELD_NAMES, view, LEASE),
    ...Object.fromEntries(structureWords(lines, currency)),
    "Adjusted capitalized cost": money(quote?.cost),
    Plan: leasePlanWords(plan, currency).join("; "),
    ...describedFields(LEASE_FIELD_NAMES, view, LEASE),
    "Payment with tax": `${money(quote?.payment)}${inputs.find === "payment" && quote ? ", found" : ""}`,
    "Payment rounded": plan.rounding ?? "nearest",
  };
}
