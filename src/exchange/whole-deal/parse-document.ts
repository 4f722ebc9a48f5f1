import type { Checked } from "../checks";
import { type Asides, asidesMember, type DealDocument, type DealHeading, ownNamed } from "../deal-document";
import type { FiledAsides } from "../deal-document/asides.schema";
import { type DealFile, readDeal } from "../deal-file";
import { type Dealer, type DealerOfOption, dealerOfFile, optionUpToDate } from "../dealer";
import { readEarly } from "../extra-payments/read-early";
import type { KeepForFile } from "../keep-for/keep-for.schema";
import { readKeepFor } from "../keep-for/read-keep-for";
import { readStated } from "../match/read-stated";
import { readJson } from "../text";
import { isWholeDeal, readFirstVersion, readWholeDeal, type WholeDeal } from "./read-whole-deal";

/** A deal from a file, and what the dealer alone sees of it. */
type FiledDeal = {
  document: DealDocument;
  dealer: Dealer;
  /** Whether the file says nothing of a customer, not even that there is none. */
  isUnnamed: boolean;
  /** The vehicle's in stock, where the file names it. */
  stockNumber?: string;
};

/**
 * Reads the text of a deal file of any version into a deal. Unlike an answer, it takes no deal of which an option cannot
 * be read.
 *
 * @param newId makes the ids of the options, and those of the customer and the vehicle: they are of the deal's own
 * @returns the deal, or one sentence with what is wrong
 */
export function parseDealDocument(text: string, newId: () => string): Checked<FiledDeal> {
  const json = readJson(text);
  if (!json.ok) return json;
  const deal = isWholeDeal(json.value)
    ? readWholeDeal(json.value)
    : ofOneOption(readFirstVersion(json.value));
  if (!deal.ok) return deal;
  const { heading, chosen, applicant } = deal.value;
  const { keepFor, ...ofTheDeal } = deal.value.asides;
  const { after: _, ...kept } = keepFor ?? {};
  const wrong = keepFor && unreadableKept(keepFor, deal.value.options, ofTheDeal.return);
  if (wrong !== undefined) return { ok: false, sentence: wrong };
  const { customer = "", vehicle, stockNumber, ...rest } = heading;
  const named = namesOf({ customer, vehicle }, newId);
  const read = optionsOf(deal.value, newId);
  if (!read.ok) return read;
  const { options, known, tried } = read.value;
  return {
    ok: true,
    value: {
      document: {
        ...named,
        ...rest,
        chosen: options[chosen]?.id ?? "",
        options,
        ...asidesMember({
          ...ofTheDeal,
          ...(keepFor && { keepFor: kept as KeepForFile }),
          ...byOptions(tried),
        }),
      },
      dealer: dealerOf(known, applicant),
      isUnnamed: heading.customer === undefined,
      ...(named.vehicle && stockNumber !== undefined && { stockNumber }),
    },
  };
}

/** Options with their ids, and by these what the dealer alone sees of each, and what is tried on it. */
type FiledOptions = {
  options: DealDocument["options"];
  known: Record<string, DealerOfOption>;
  tried: NonNullable<Asides["options"]>;
};

function optionsOf(
  { options: filed, asides: ofDeal }: WholeDeal,
  newId: () => string,
): Checked<FiledOptions> {
  const found: FiledOptions = { options: [], known: {}, tried: {} };
  for (const [index, { name, inputs, dealer, asides }] of filed.entries()) {
    const sentence = inputs.ok ? unreadable(inputs.value, asides) : inputs.sentence;
    if (sentence !== undefined || !inputs.ok) {
      return { ok: false, sentence: filed.length > 1 ? `Option ${index + 1}: ${sentence}` : `${sentence}` };
    }
    const option = optionUpToDate({ id: newId(), name, inputs: inputs.value });
    found.options.push(option);
    const ofOption = dealerOfFile(option.inputs.structure, dealer);
    if (Object.keys(ofOption).length > 0) found.known[option.id] = ofOption;
    const then = ofDeal.keepFor?.after?.find(each => each.option === index + 1)?.then;
    const beside = { ...asides, ...(then && { after: then }) };
    if (Object.keys(beside).length > 0) found.tried[option.id] = beside;
  }
  return { ok: true, value: found };
}

/** What is known of options, by their ids; nothing where nothing is. */
const byOptions = <Known extends object>(known: Known) =>
  Object.keys(known).length > 0 ? { options: known } : {};

const dealerOf = (known: Record<string, DealerOfOption>, applicant: Dealer["applicant"]): Dealer => ({
  ...byOptions(known),
  ...(applicant && { applicant }),
});

/** Who and what a file names: records of the deal's own. */
function namesOf(
  texts: { customer: string; vehicle: string },
  newId: () => string,
): Pick<DealHeading, "customer" | "vehicle"> {
  const [customer, vehicle] = [ownNamed(texts.customer, newId()), ownNamed(texts.vehicle, newId())];
  return { ...(customer && { customer }), ...(vehicle && { vehicle }) };
}

function unreadable(inputs: DealFile, { early, theirs }: FiledAsides): string | undefined {
  const deal = readDeal(inputs);
  if (!deal.ok) return deal.failure.sentence;
  const tried = readEarly(early, inputs.currency);
  if (!tried.ok) return tried.failure.sentence;
  const stated = readStated(theirs ?? {}, inputs.currency);
  return stated.ok ? undefined : stated.failure.sentence;
}

/** Why how long the vehicle is kept cannot be read; undefined where it can. */
function unreadableKept(
  keepFor: KeepForFile,
  options: WholeDeal["options"],
  assumed: Asides["return"],
): string | undefined {
  const currency = options.find(({ inputs }) => inputs.ok)?.inputs;
  const read = readKeepFor(keepFor, {
    currency: currency?.ok ? currency.value.currency : "USD",
    return: assumed,
  });
  return read.ok ? undefined : read.failure.sentence;
}

/** A file of version 1 as a deal. */
function ofOneOption({
  inputs,
  dealer,
  asides,
  ofTheDeal,
  applicant,
  ...place
}: ReturnType<typeof readFirstVersion>): Checked<WholeDeal> {
  if (!inputs.ok) return inputs;
  const heading = { customer: undefined, vehicle: "", status: "quoting" as const, ...place };
  return {
    ok: true,
    value: {
      heading,
      chosen: 0,
      options: [{ name: "", inputs, dealer, asides }],
      asides: ofTheDeal,
      applicant,
    },
  };
}
