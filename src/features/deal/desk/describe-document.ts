import { quoteBy } from "@/core";
import { chosenOption, type DealDocument } from "@/exchange/deal-document";
import { readDeal, structureWords } from "@/exchange/deal-file";
import { planTitle, planWords } from "@/exchange/deal-file/plan";
import { LOCALE_NAMES } from "@/exchange/notation";
import { amountText } from "@/exchange/text";
import {
  type FieldName,
  type FieldView,
  fieldOf,
  isFoundIn,
  PLAN_FIELD_NAMES,
  STRUCTURE_FIELD_NAMES,
} from "../fields";
import { answeringOf } from "../option/rest";
import { STATUS_NAMES } from "./status-names";

/** A deal's figures by name, typed and found, for setting two versions side by side. */
export function describeDocument(document: DealDocument): Record<string, string> {
  const { inputs } = chosenOption(document);
  const deal = readDeal(inputs);
  const answer = deal.ok ? quoteBy(answeringOf(deal.value), deal.value) : deal;
  const view: FieldView = { inputs, deal, quote: answer.ok ? answer.value : null };
  const { plan, currency } = inputs;
  return {
    Customer: document.customer || "–",
    "Vehicle or purpose": document.vehicle || "–",
    Status: STATUS_NAMES[document.status],
    Currency: currency,
    "Figures as in": inputs.locale ? LOCALE_NAMES[inputs.locale] : "the house's place",
    ...described(STRUCTURE_FIELD_NAMES, view),
    ...Object.fromEntries(structureWords(inputs.structure, currency)),
    "Amount financed": view.quote ? amountText(view.quote.amountFinanced, currency) : "no answer",
    Plan: [planTitle(plan), ...planWords(plan, currency)].join("; "),
    ...described(PLAN_FIELD_NAMES, view),
    "Payment rounded": plan.rounding ?? "nearest",
  };
}

/** What stands in some fields, by their labels. */
function described(names: readonly FieldName[], view: FieldView): Record<string, string> {
  const said = names.flatMap((name): [string, string][] => {
    const { label, say, show } = fieldOf(name);
    if (say === null) return [];
    const text = (say ?? show)(view) || "–";
    if (!isFoundIn(name, view.inputs.find)) return [[label, text]];
    return [[label, view.quote ? `${text}, found` : "no answer"]];
  });
  return Object.fromEntries(said);
}
