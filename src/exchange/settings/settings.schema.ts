import Type from "typebox";
import { MOST_EXTRAS, MOST_FEES, MOST_TAXES } from "@/core";
import { OfficerShareSchema, ReserveSchema } from "../dealer/reserve.schema";
import { HouseCurveSchema } from "../keep-for/keep-for.schema";
import { PLAN_KINDS } from "../kinds/loan/plan/kinds";
import { LOCALES } from "../notation";
import { PlaceMember } from "../place/place.schema";
import {
  Amount,
  CompoundingWord,
  Currency,
  exact,
  FrequencyWord,
  OneOf,
  Payments,
  Percent,
  Whole,
  YearlyRate,
} from "../schema";
import { CHARGE, LineId, LineName, list, Tax } from "../structure/structure.schema";
import { HousePapersSchema } from "./papers.schema";
import { HousePeopleSchema } from "./people.schema";

const MOST_TAX_PROFILES = 20;
const MOST_CURVES = 20;

/** How many terms a house shows its customers. */
const MOST_TERMS = 8;

const LONGEST_HOUSE_NAME = 120;
const LONGEST_TERM = 600;

/** What a deal can be from the start. */
const NEW_DEALS = ["vehicleLoan", "lease", "personalLoan"] as const;
export type NewDeal = (typeof NEW_DEALS)[number];

const InEveryDeal = Type.Optional(Type.Boolean({ description: "true or false" }));

/** The plan that a new deal starts with. */
const DefaultPlan = exact({
  kind: OneOf(...PLAN_KINDS),
  yearlyRate: Type.Optional(YearlyRate),
  payments: Type.Optional(Payments),
  frequency: FrequencyWord,
  rounding: Type.Optional(OneOf("nearest", "up", "down")),
  roundingStep: Type.Optional(Amount),
  compounding: Type.Optional(CompoundingWord),
  dayCount: Type.Optional(OneOf("equal", "30/360", "actual/365", "actual/360", "actual/actual")),
});

/** Taxes that go together, by a name. */
const TaxProfile = exact({
  name: LineName,
  taxIncluded: Type.Optional(Type.Boolean({ description: "true or false" })),
  taxes: Type.Array(Tax, {
    minItems: 1,
    maxItems: MOST_TAXES,
    description: `a list of 1 to ${MOST_TAXES} taxes`,
  }),
  inEveryDeal: InEveryDeal,
});

/** What a house has settled once for its deals; a deal is made from it and does not change with it. */
export const SettingsSchema = exact({
  format: Type.Literal("kellux-settings", { description: '"kellux-settings"' }),
  version: Type.Literal(1, { description: "1" }),
  houseName: Type.String({
    maxLength: LONGEST_HOUSE_NAME,
    pattern: "^[^\\u0000-\\u001f\\u007f]*$",
    description: `one line of at most ${LONGEST_HOUSE_NAME} characters`,
  }),
  currency: Currency,
  locale: OneOf(...LOCALES),
  /** Whose law counts for a new deal. */
  ...PlaceMember,
  appearance: OneOf("system", "light", "dark"),
  /** What a new deal is unless it is begun as another; a vehicle loan where it is left out. */
  newDeal: Type.Optional(OneOf(...NEW_DEALS)),
  plan: DefaultPlan,
  taxProfiles: Type.Optional(list(TaxProfile, MOST_TAX_PROFILES, "tax profiles")),
  fees: Type.Optional(list(exact({ ...CHARGE, inEveryDeal: InEveryDeal }), MOST_FEES, "fees")),
  extras: Type.Optional(list(exact({ ...CHARGE, inEveryDeal: InEveryDeal }), MOST_EXTRAS, "extras")),
  /** The terms that customers are shown, with the rate of each. */
  terms: Type.Optional(list(exact({ payments: Payments, yearlyRate: YearlyRate }), MOST_TERMS, "terms")),
  /** What the law of the house's place lets customers be asked for: deals mark what is beyond it. */
  limits: Type.Optional(
    exact({
      mostRate: Type.Optional(YearlyRate),
      mostTerm: Type.Optional(Whole(1, LONGEST_TERM, "a number of months")),
      mostPersonalApr: Type.Optional(YearlyRate),
      /** The fee that it is, by its name, and the most that it may be. */
      documentFee: Type.Optional(exact({ name: LineName, most: Amount })),
    }),
  ),
  /** What vehicles will be worth, by their kind. */
  curves: Type.Optional(list(HouseCurveSchema, MOST_CURVES, "curves")),
  /** What stands on papers, and how long given ones are kept. */
  papers: Type.Optional(HousePapersSchema),
  /** How those who work here sign in, and how long what they did is known. */
  people: Type.Optional(HousePeopleSchema),
});

const Spread = Percent('points of rate from 0 to 100, such as "1.24"', 100);

/** What of the settings customers never see. */
export const SettingsDealerSchema = exact({
  /** What usual extras cost the dealer, by their ids. */
  extraCosts: Type.Optional(
    Type.Record(LineId, Amount, {
      additionalProperties: false,
      maxProperties: MOST_EXTRAS,
      description: `amounts by the ids of at most ${MOST_EXTRAS} usual extras`,
    }),
  ),
  /** How lenders pay the dealer, and the dealer its officers: what a new deal starts with. */
  reserve: Type.Optional(ReserveSchema),
  officerShare: Type.Optional(OfficerShareSchema),
  /** What every customer is offered beyond the buy rate, and the most that is asked, in points of rate. */
  usualSpread: Type.Optional(Spread),
  mostSpread: Type.Optional(Spread),
});

export type SettingsDealer = Type.Static<typeof SettingsDealerSchema>;
export type Settings = Type.Static<typeof SettingsSchema>;
export type TaxProfileFile = NonNullable<Settings["taxProfiles"]>[number];
export type HousePapers = NonNullable<Settings["papers"]>;
export type UsualFee = NonNullable<Settings["fees"]>[number];
export type UsualTerm = NonNullable<Settings["terms"]>[number];
export type UsualExtra = NonNullable<Settings["extras"]>[number];
