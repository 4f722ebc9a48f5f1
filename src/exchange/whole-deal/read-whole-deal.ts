import { type Checked, checked } from "../checks";
import {
  applicant as applicantCheck,
  asides as asidesCheck,
  dealerFile,
  dealFrame,
  place as placeCheck,
} from "../checks/compiled";
import type { DealHeading } from "../deal-document";
import type { FiledAsides } from "../deal-document/asides.schema";
import type { DealFile } from "../deal-file";
import { checkDealFile } from "../deal-file/parse";
import { type Applicant, type DealerFile, dealerApart } from "../dealer";
import { proposedNames } from "../option-words";
import { type Place, placeOfLocale } from "../place/places";
import type { FiledKeepFor } from "./filed-keep-for.schema";
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
  /** What is assumed of the deal as a whole. */
  asides: OfTheDeal & { keepFor?: FiledKeepFor };
  /** What a lender asks of its customer, where the file says so. */
  applicant?: Applicant | undefined;
};

type OfTheDeal = Pick<FiledAsides, "return">;

/**
 * An option with what is tried on it, and with what the dealer alone sees of it; each is checked, and one that is wrong
 * says why.
 */
type FiledOption = {
  name: string;
  inputs: Checked<DealFile>;
  dealer: DealerFile;
  asides: Pick<FiledAsides, "early" | "theirs">;
};

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
    use,
    return: assumed,
    keepFor,
    applicant,
  } = frame.value;
  if (chosen > filed.length) {
    return { ok: false, sentence: `chosen is ${chosen}; it must be the number of one of the options.` };
  }
  const missing = keepFor?.after?.find(({ option }) => option > filed.length);
  if (missing)
    return {
      ok: false,
      sentence: `keepFor/after names option ${missing.option}; it must be the number of one of the options.`,
    };
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
        ...(use !== undefined && { use }),
      },
      chosen: chosen - 1,
      options,
      asides: { ...(assumed && { return: assumed }), ...(keepFor && { keepFor }) },
      applicant,
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
  if (extra) return refused(`${extra} is not known.`);
  return readOption({ format: "kellux-deal", version: 1, currency, ...option });
}

const refused = (sentence: string): Omit<FiledOption, "name"> => ({
  inputs: { ok: false, sentence },
  dealer: {},
  asides: {},
});

/** What is filed of an option, with what is tried on it and what the dealer alone sees apart. */
function readOption(filed: unknown): Omit<FiledOption, "name"> {
  const { option: withTried, dealer = {} } = dealerApart(filed);
  const known = checked<DealerFile>(dealerFile, dealer, "/dealer");
  if (!known.ok) return refused(known.sentence);
  const { rest: option, taken } = membersApart(withTried, ["early", "theirs"]);
  const asides = checked<FiledAsides>(asidesCheck, taken, "");
  if (!asides.ok) return refused(asides.sentence);
  return { inputs: checkDealFile(option), dealer: known.value, asides: asides.value };
}

/** What stands at the top of a file of version 1: one option, and what of the deal stands beside it. */
type FirstVersion = Omit<FiledOption, "name"> &
  Pick<DealHeading, "place"> & { ofTheDeal: OfTheDeal; applicant?: Applicant | undefined };

/** A file of version 1: one option, with what of the deal stands at its top. */
export function readFirstVersion(filed: unknown): FirstVersion {
  const { rest: option, taken } = membersApart(filed, ["place", "return", "applicant"]);
  const { place, applicant, ...assumed } = taken;
  const named = place === undefined ? undefined : checked<Place>(placeCheck, place, "/place");
  if (named && !named.ok) return { ...refused(named.sentence), ofTheDeal: {} };
  const asides = checked<OfTheDeal>(asidesCheck, assumed, "");
  if (!asides.ok) return { ...refused(asides.sentence), ofTheDeal: {} };
  const applies =
    applicant === undefined ? undefined : checked<Applicant>(applicantCheck, applicant, "/applicant");
  if (applies && !applies.ok) return { ...refused(applies.sentence), ofTheDeal: {} };
  const read = readOption(option);
  return {
    ...read,
    ...placeMember(named?.value, read.inputs),
    ofTheDeal: asides.value,
    applicant: applies?.value,
  };
}

/** Some members of what was filed, and all else of it. */
function membersApart(filed: unknown, names: readonly string[]) {
  const taken: Record<string, unknown> = {};
  if (typeof filed !== "object" || filed === null || Array.isArray(filed)) return { rest: filed, taken };
  const rest = Object.fromEntries(
    Object.entries(filed).filter(([name, value]) => {
      if (!names.includes(name)) return true;
      taken[name] = value;
      return false;
    }),
  );
  return { rest, taken };
}

/** What each option is called: its own name, or what is proposed of those that can be read. */
export function namesOf({ options }: { options: readonly Pick<FiledOption, "name" | "inputs">[] }): string[] {
  const readable = options.flatMap(({ name, inputs }) => (inputs.ok ? { name, inputs: inputs.value } : []));
  const proposed = proposedNames(readable);
  return options.map(({ name, inputs }, index) => {
    const called = inputs.ok ? proposed.shift() : undefined;
    return name || called || `Option ${index + 1}`;
  });
}
