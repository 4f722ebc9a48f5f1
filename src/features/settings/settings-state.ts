import type { LoanFile } from "@/exchange/kinds/loan";
import type { HousePapers, Settings, TaxProfileFile, UsualTerm } from "@/exchange/settings";
import { PLAIN_LOAN } from "@/features/deal/kinds/loan/plain-loan";
import { wholeLoan } from "@/features/deal/kinds/loan/whole-loan";
import {
  hasErrors,
  type LoanState,
  type OptionAction,
  openOption,
  optionReducer,
} from "@/features/deal/option";
import { withInputs } from "@/features/deal/option/option-state";

/** What of the settings is typed as it is. */
export type House = Pick<Settings, "houseName" | "currency" | "locale" | "place" | "appearance" | "newDeal">;

/** What is settled of those who work here. */
export type PeopleRules = NonNullable<Settings["people"]>;

/** What is changed of it; what is undefined is taken out. */
export type HouseChange = { [Part in keyof House]?: House[Part] | undefined };

/** What is changed of what stands on papers; what is undefined is taken out. */
export type PapersChange = { [Part in keyof HousePapers]?: HousePapers[Part] | undefined };

/** A tax profile on the screen: its taxes are lines of an option that has nothing else. */
export type ProfileState = { key: number; name: string; inEveryDeal: boolean; option: LoanState };

/** The settings on the screen: plan, fees and extras are those of an option that has nothing else. */
export type SettingsState = {
  house: House;
  usual: LoanState;
  profiles: readonly ProfileState[];
  /** The terms that customers are shown, with their rates. */
  terms: readonly UsualTerm[];
  papers: HousePapers;
  limits: NonNullable<Settings["limits"]>;
  curves: NonNullable<Settings["curves"]>;
  people: PeopleRules;
  /** What tells the next profile from the others. */
  nextKey: number;
};

export type SettingsAction =
  | { type: "open"; settings: Settings }
  | { type: "house"; change: HouseChange }
  | { type: "usual"; action: OptionAction }
  | { type: "profile"; key: number; action: OptionAction }
  | { type: "profileHeading"; key: number; change: { name?: string; inEveryDeal?: boolean } }
  | { type: "terms"; terms: readonly UsualTerm[] }
  | { type: "papers"; change: PapersChange }
  | { type: "limits"; limits: SettingsState["limits"] }
  | { type: "curves"; curves: SettingsState["curves"] }
  | { type: "people"; people: PeopleRules }
  | { type: "addProfile" }
  | { type: "dropProfile"; key: number };

/** Usual fees and taxes have the fields of a whole loan's lines. */
const KINDS = { loan: wholeLoan(PLAIN_LOAN) };

/** The settings as they open. */
export function openSettingsState(settings: Settings): SettingsState {
  const { houseName, currency, locale, place, appearance, newDeal, ...lists } = settings;
  const {
    fees,
    extras,
    taxProfiles = [],
    terms = [],
    papers = {},
    limits = {},
    curves = [],
    people = {},
  } = lists;
  const empty = emptyDeal(settings);
  return {
    house: {
      ...{ houseName, currency, locale, appearance },
      ...(place && { place }),
      ...(newDeal && { newDeal }),
    },
    usual: openOption(
      { ...empty, structure: { ...(fees && { fees }), ...(extras && { extras }) } },
      KINDS,
      locale,
    ),
    profiles: taxProfiles.map(({ name, inEveryDeal = false, taxes, taxIncluded }, key) => ({
      key,
      name,
      inEveryDeal,
      option: openOption(
        { ...empty, structure: { taxes, ...(taxIncluded && { taxIncluded }) } },
        KINDS,
        locale,
      ),
    })),
    terms,
    papers,
    limits,
    curves,
    people,
    nextKey: taxProfiles.length,
  };
}

/** A deal of the house without lines and without dates. */
function emptyDeal({ currency, plan }: Settings): LoanFile {
  return { format: "kellux-deal", version: 1, currency, structure: {}, plan, find: "payment" };
}

/** The settings after something was done with them. */
export function settingsReducer(state: SettingsState, action: SettingsAction): SettingsState {
  const eachProfile = (change: (profile: ProfileState) => ProfileState) => ({
    ...state,
    profiles: state.profiles.map(change),
  });
  switch (action.type) {
    case "open":
      return openSettingsState(action.settings);
    case "house":
      return withHouse(state, { ...state.house, ...action.change } as House);
    case "usual":
      return { ...state, usual: loanAfter(state.usual, action.action) };
    case "profile":
      return eachProfile(profile =>
        profile.key === action.key
          ? { ...profile, option: loanAfter(profile.option, action.action) }
          : profile,
      );
    case "profileHeading":
      return eachProfile(profile => {
        if (profile.key === action.key) return { ...profile, ...action.change };
        // A deal begins with one profile.
        return action.change.inEveryDeal ? { ...profile, inEveryDeal: false } : profile;
      });
    case "terms":
      return { ...state, terms: action.terms };
    case "papers":
      return { ...state, papers: { ...state.papers, ...action.change } as HousePapers };
    case "limits":
      return { ...state, limits: action.limits };
    case "curves":
      return { ...state, curves: action.curves };
    case "people":
      return { ...state, people: action.people };
    case "addProfile":
      return { ...state, profiles: [...state.profiles, newProfile(state)], nextKey: state.nextKey + 1 };
    case "dropProfile":
      return { ...state, profiles: state.profiles.filter(({ key }) => key !== action.key) };
  }
}

/** The deal that settings are typed in is a loan, whatever is done with it. */
function loanAfter(state: LoanState, action: OptionAction): LoanState {
  const next = optionReducer(state, action);
  return next.kind === "loan" ? next : state;
}

function newProfile({ usual, profiles, nextKey }: SettingsState): ProfileState {
  const { inputs, houseLocale } = usual;
  const structure: LoanFile["structure"] = {
    taxes: [{ name: "Sales tax", rate: "0", on: ["price", "fees", "extras"] }],
  };
  return {
    key: nextKey,
    name: `Taxes ${profiles.length + 1}`,
    inEveryDeal: false,
    option: openOption({ ...inputs, structure }, KINDS, houseLocale),
  };
}

/** Amounts are read and written anew where the currency or the place is another one. */
function withHouse(state: SettingsState, house: House): SettingsState {
  const { currency, locale } = house;
  if (currency === state.house.currency && locale === state.house.locale) return { ...state, house };
  const moved = (option: LoanState) =>
    withInputs({ ...option, houseLocale: locale }, { ...option.inputs, currency });
  return {
    ...state,
    house,
    usual: moved(state.usual),
    profiles: state.profiles.map(profile => ({ ...profile, option: moved(profile.option) })),
  };
}

/** All settings, as they are kept and filed. */
export function settingsOf({
  house,
  usual,
  profiles,
  terms,
  papers,
  limits,
  curves,
  people,
}: SettingsState): Settings {
  const { structure, plan } = usual.inputs;
  const { kind, yearlyRate, payments, frequency, rounding, roundingStep, compounding, dayCount } = plan;
  return {
    format: "kellux-settings",
    version: 1,
    ...house,
    plan: {
      kind,
      frequency,
      ...(yearlyRate !== undefined && { yearlyRate }),
      ...(payments !== undefined && { payments }),
      ...(rounding && { rounding }),
      ...(Number(roundingStep) > 0 && { roundingStep: roundingStep as string }),
      ...(compounding && compounding !== "payments" && { compounding }),
      ...(dayCount && dayCount !== "equal" && { dayCount }),
    },
    ...(profiles.length > 0 && { taxProfiles: profiles.map(profileOf) }),
    ...(structure.fees && { fees: structure.fees }),
    ...(structure.extras && { extras: structure.extras }),
    ...(terms.length > 0 && { terms: [...terms] }),
    ...papersMember(papers),
    ...(Object.keys(limits).length > 0 && { limits }),
    ...(curves.length > 0 && { curves }),
    ...(Object.keys(people).length > 0 && { people }),
  };
}

/** What was emptied is not there. */
function papersMember(papers: HousePapers): Pick<Settings, "papers"> {
  const said = Object.fromEntries(Object.entries(papers).filter(([, value]) => isSaid(value)));
  return Object.keys(said).length > 0 ? { papers: said } : {};
}

const isSaid = (value: unknown): boolean =>
  typeof value === "object" && value !== null
    ? Object.values(value).some(isSaid)
    : value !== undefined && value !== "" && value !== false;

function profileOf({ name, inEveryDeal, option }: ProfileState): TaxProfileFile {
  const { taxes = [], taxIncluded } = option.inputs.structure;
  return { name, taxes, ...(taxIncluded && { taxIncluded }), ...(inEveryDeal && { inEveryDeal }) };
}

/** Whether something typed cannot be read. */
export function isUnreadable({ usual, profiles }: SettingsState): boolean {
  return [usual, ...profiles.map(({ option }) => option)].some(({ errors }) => hasErrors(errors));
}
