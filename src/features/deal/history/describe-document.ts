import { quoteBy } from "@/core";
import { answer } from "@/core/kinds/loan/find";
import { chosenOption, type DealDocument, optionOf } from "@/exchange/deal-document";
import { STATUS_NAMES } from "@/exchange/deal-document/status-names";
import { type DealFile, isLease } from "@/exchange/deal-file";
import { type LoanFile, readLoan } from "@/exchange/kinds/loan";
import { planTitle, planWords } from "@/exchange/kinds/loan/plan";
import { LOCALE_NAMES } from "@/exchange/notation";
import { proposedNames } from "@/exchange/option-words";
import { structureWords } from "@/exchange/structure";
import { amountText, typedAmountText } from "@/exchange/text";
import { type LoanView, STRUCTURE_FIELD_NAMES } from "../fields";
import { PLAN_FIELD_NAMES } from "../kinds/loan/fields/plan-fields";
import { PLAIN_LOAN } from "../kinds/loan/plain-loan";
import { describeLease } from "./describe-lease";
import { described } from "./described";

/** Whose deal it is, for what, how it stands and which option is chosen, by name. */
function describeHeading(document: DealDocument, hasOptions: boolean): Record<string, string> {
  const { customer, vehicle, status, budget, notes } = document;
  const { inputs, id } = chosenOption(document);
  return {
    Customer: customer || "–",
    "Vehicle or purpose": vehicle || "–",
    Status: STATUS_NAMES[status],
    ...(budget !== undefined && { "Budget a month": typedAmountText(budget, inputs.currency) }),
    ...(notes !== undefined && { Notes: notes }),
    ...(hasOptions && { "Chosen option": called(document).get(id) ?? "–" }),
  };
}

/** An option's figures by name, typed and found, for setting two versions side by side. */
export function describeOption(inputs: DealFile): Record<string, string> {
  return {
    Currency: inputs.currency,
    Formats: inputs.locale ? LOCALE_NAMES[inputs.locale] : "the house's place",
    ...(isLease(inputs) ? describeLease(inputs) : describeLoan(inputs)),
  };
}

/** A part of two states of a deal; null where one of them does not have it. */
export type DescribedPart = {
  /** What the option is called; null for the heading, and where there is but one. */
  name: string | null;
  one: Record<string, string> | null;
  other: Record<string, string> | null;
};

/** Two states of a deal in their parts: the heading, then each option that either has. */
export function describeParts(one: DealDocument, other: DealDocument): DescribedPart[] {
  const [these, those] = [called(one), called(other)];
  const ids = [...new Set([...one.options, ...other.options].map(({ id }) => id))];
  return [
    { name: null, one: describeHeading(one, ids.length > 1), other: describeHeading(other, ids.length > 1) },
    ...ids.map(id => {
      const [here, there] = [optionOf(one, id), optionOf(other, id)];
      return {
        name: ids.length > 1 ? (those.get(id) ?? these.get(id) ?? null) : null,
        one: here ? describeOption(here.inputs) : null,
        other: there ? describeOption(there.inputs) : null,
      };
    }),
  ];
}

function called({ options }: DealDocument): Map<string, string> {
  const names = proposedNames(options);
  return new Map(options.map(({ id }, index) => [id, names[index] ?? ""]));
}

function describeLoan(inputs: LoanFile): Record<string, string> {
  const deal = readLoan(inputs);
  const quote = deal.ok ? quoteBy(answer, deal.value) : deal;
  const view: LoanView = { kind: "loan", inputs, deal, quote: quote.ok ? quote.value : null };
  const { plan, currency } = inputs;
  return {
    ...described(STRUCTURE_FIELD_NAMES, view, PLAIN_LOAN),
    ...Object.fromEntries(structureWords(inputs.structure, currency)),
    "Amount financed": view.quote ? amountText(view.quote.amountFinanced, currency) : "no answer",
    Plan: [planTitle(plan), ...planWords(plan, currency)].join("; "),
    ...described(PLAN_FIELD_NAMES, view, PLAIN_LOAN),
    "Payment rounded": plan.rounding ?? "nearest",
  };
}
