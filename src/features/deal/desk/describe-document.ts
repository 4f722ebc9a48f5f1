import { quoteBy } from "@/core";
import { answer } from "@/core/find";
import { chosenOption, type DealDocument } from "@/exchange/deal-document";
import { type DealFile, isLeaseInputs, readDeal } from "@/exchange/deal-file";
import { planTitle, planWords } from "@/exchange/deal-file/plan";
import { structureWords } from "@/exchange/deal-file/structure";
import { LOCALE_NAMES } from "@/exchange/notation";
import { amountText } from "@/exchange/text";
import { type LoanView, provideFields, STRUCTURE_FIELD_NAMES } from "../fields";
import { leaseField } from "../fields/lease-field";
import { loanField } from "../fields/loan-fields";
import { PLAN_FIELD_NAMES } from "../fields/plan-fields";
import { describeLease } from "./describe-lease";
import { described } from "./described";
import { STATUS_NAMES } from "./status-names";

// Two versions can be of two kinds.
provideFields(loanField);
provideFields(leaseField);

/** A deal's figures by name, typed and found, for setting two versions side by side. */
export function describeDocument(document: DealDocument): Record<string, string> {
  const { inputs } = chosenOption(document);
  return {
    Customer: document.customer || "–",
    "Vehicle or purpose": document.vehicle || "–",
    Status: STATUS_NAMES[document.status],
    Currency: inputs.currency,
    "Figures as in": inputs.locale ? LOCALE_NAMES[inputs.locale] : "the house's place",
    ...(isLeaseInputs(inputs) ? describeLease(inputs) : describeLoan(inputs)),
  };
}

function describeLoan(inputs: DealFile): Record<string, string> {
  const deal = readDeal(inputs);
  const quote = deal.ok ? quoteBy(answer, deal.value) : deal;
  const view: LoanView = { kind: "loan", inputs, deal, quote: quote.ok ? quote.value : null };
  const { plan, currency } = inputs;
  return {
    ...described(STRUCTURE_FIELD_NAMES, view),
    ...Object.fromEntries(structureWords(inputs.structure, currency)),
    "Amount financed": view.quote ? amountText(view.quote.amountFinanced, currency) : "no answer",
    Plan: [planTitle(plan), ...planWords(plan, currency)].join("; "),
    ...described(PLAN_FIELD_NAMES, view),
    "Payment rounded": plan.rounding ?? "nearest",
  };
}
