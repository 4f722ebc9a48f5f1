import { chosenOption, type DealDocument, nameOf, optionOf } from "@/exchange/deal-document";
import { STATUS_NAMES } from "@/exchange/deal-document/status-names";
import type { DealFile } from "@/exchange/deal-file";
import { LOCALE_NAMES } from "@/exchange/notation";
import { proposedNames } from "@/exchange/option-words";
import { typedAmountText } from "@/exchange/text";
import { askedOf } from "../kinds/asked";

/** Whose deal it is, for what, how it stands and which option is chosen, by name. */
function describeHeading(document: DealDocument, hasOptions: boolean): Record<string, string> {
  const { customer, vehicle, status, budget, notes } = document;
  const { inputs, id } = chosenOption(document);
  return {
    Customer: nameOf(customer) || "–",
    "Vehicle or purpose": nameOf(vehicle) || "–",
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
    ...askedOf(inputs).described(inputs),
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
