import { type Checked, checked } from "../checks";
import { dealerFile, dealFrame, place as placeCheck } from "../checks/compiled";
import type { DealHeading } from "../deal-document";
import type { DealFile } from "../deal-file";
import { checkDealFile } from "../deal-file/parse";
import { type DealerFile, dealerApart } from "../dealer";
import { proposedNames } from "../option-words";
import { type Place, placeOfLocale } from "../place/places";
import type { DealFrame } from "./whole-deal.schema";

/** What of version 1 of a file stands once for all options of version 2. */
const OF_THE_DEAL = ["format", "version", "currency"] as const;

/** A deal as it was filed, its options each read by itself. */
export type WholeDeal = {
  heading: Omit<DealHeading, "customer" | "vehicle"> &
    Pick<DealFrame, "stockNumber"> & { customer: string | undefined; vehicle: string };
  /** From 0. */
  chosen: number;
  options: FiledOption[];
};

/** An option with what the dealer alone sees of it; both are checked, and one that is wrong says why. */
type FiledOption = { name: string; inputs: Checked<DealFile>; dealer: DealerFile };

const NEWEST_VERSION = 2;

/** Whether data, whatever it is, says that it is a deal with options: version 2 of a deal file, or of a later app. */
export function isWholeDeal(value: unknown): boolean {
  const { format, version, options } = (value ?? {}) as Record<string, unknown>;
  if (format !== "kellux-deal" || typeof version !== "number") return false;
  return version === NEWEST_VERSION || (version > NEWEST_VERSION && options !== undefined);
}

/** Checks a whole deal: what is wrong with the deal itself refuses it, what is wrong with an option only that one. */
export function readWholeDeal(value: unknown): Checked<WholeDeal> {
  const { version } = value as { version: number };
  if (version > NEWEST_VERSION) {
    return { ok: false, sentence: `version is ${version}; it must be 1 or ${NEWEST_VERSION}.` };
  }
  const frame = checked<DealFrame>(dealFrame, value);
  if (!frame.ok) return frame;
  const {
    currency,
    customer,
    vehicle = "",
    stockNumber,
    status = "quoting",
    budget,
    notes,
    chosen = 1,
    options: filed,
    place,
  } = frame.value;
  if (chosen > filed.length) {
    return { ok: false, sentence: `chosen is ${chosen}; it must be the number of one of the options.` };
  }
  const options = filed.map(({ name = "", ...option }) => ({ name, ...inputsOf(option, currency) }));
  return {
    ok: true,
    value: {
      heading: {
        customer,
        vehicle,
        ...(stockNumber !== undefined && { stockNumber }),
        status,
        ...(budget !== undefined && { budget: String(budget) }),
        ...(notes !== undefined && { notes }),
        ...placeMember(place, options[chosen - 1]?.inputs),
      },
      chosen: chosen - 1,
      options,
    },
  };
}

/** The place that a file names; else that of how the option's figures are written, where it says so. */
function placeMember(
  named: Place | undefined,
  inputs: Checked<DealFile> | undefined,
): Pick<DealHeading, "place"> {
  const locale = inputs?.ok ? inputs.value.locale : undefined;
  const place = named ?? (locale && placeOfLocale(locale));
  return place ? { place } : {};
}

/** An option as version 1 of the file has it. */
function inputsOf(option: object, currency: string): Omit<FiledOption, "name"> {
  const extra = OF_THE_DEAL.find(name => name in option);
  if (extra) return { inputs: { ok: false, sentence: `${extra} is not known.` }, dealer: {} };
  return readOption({ format: "kellux-deal", version: 1, currency, ...option });
}

/** What is filed of an option, with what the dealer alone sees apart. */
function readOption(filed: unknown): Omit<FiledOption, "name"> {
  const { option, dealer = {} } = dealerApart(filed);
  const known = checked<DealerFile>(dealerFile, dealer, "/dealer");
  return known.ok ? { inputs: checkDealFile(option), dealer: known.value } : { inputs: known, dealer: {} };
}

/** A file of version 1: one option, with what of the deal stands at its top. */
export function readFirstVersion(filed: unknown): Omit<FiledOption, "name"> & Pick<DealHeading, "place"> {
  if (typeof filed !== "object" || filed === null || !("place" in filed)) {
    const read = readOption(filed);
    return { ...read, ...placeMember(undefined, read.inputs) };
  }
  const { place, ...option } = filed;
  const named = checked<Place>(placeCheck, place, "/place");
  return named.ok ? { ...readOption(option), place: named.value } : { inputs: named, dealer: {} };
}

/** What each option is called: its own name, or what is proposed of those that can be read. */
export function namesOf({ options }: { options: readonly Omit<FiledOption, "dealer">[] }): string[] {
  const readable = options.flatMap(({ name, inputs }) => (inputs.ok ? { name, inputs: inputs.value } : []));
  const proposed = proposedNames(readable);
  return options.map(({ name, inputs }, index) => {
    const called = inputs.ok ? proposed.shift() : undefined;
    return name || called || `Option ${index + 1}`;
  });
}
