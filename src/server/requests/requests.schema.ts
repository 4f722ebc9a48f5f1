import Type from "typebox";
import { MOST_EXTRAS } from "@/core";
import { RANKS } from "@/core/programs";
import { DealChangeSchema, DealDocumentSchema } from "@/exchange/deal-document/document.schema";
import { RecordId, SomeLine } from "@/exchange/deal-document/named.schema";
import { OptionId } from "@/exchange/deal-document/option-id.schema";
import type { DealFile } from "@/exchange/deal-file";
import type { Dealer } from "@/exchange/dealer";
import { DealerSchema } from "@/exchange/dealer/dealer.schema";
import { MOST_LENDERS, MOST_PROGRAMS } from "@/exchange/rates/limits";
import { exact, OneOf, Payments, Percent, tagged, Whole } from "@/exchange/schema";
import type { SettingsDealer } from "@/exchange/settings";
import { SettingsDealerSchema, SettingsSchema } from "@/exchange/settings/settings.schema";
import { VehicleSchema, VehiclesSchema } from "@/exchange/stock/stock.schema";
import { LineName } from "@/exchange/structure/structure.schema";
import { TableSchema } from "@/exchange/workbook/table.schema";
import { PEOPLE_REQUESTS } from "./people.schema";

const SavedVersion = Type.Integer({
  minimum: 1,
  maximum: 2_000_000_000,
  description: "the number of a saved version",
});

/** The same of the settings; 0 where there is none. */
const SettledVersion = Type.Integer({
  minimum: 0,
  maximum: 2_000_000_000,
  description: "the number of a saved version, or 0",
});

/** The body of a save: what was changed, and the version that it was made from. */
const SaveRequestSchema = exact({
  version: SavedVersion,
  change: DealChangeSchema,
  brief: Type.Optional(
    Type.Boolean({
      description: "whether the deal may be left out of the answer where nobody else has changed it",
    }),
  ),
});

/** The body of a save of a deal's dealer's part. */
const DealerRequestSchema = exact({ version: SavedVersion, dealer: DealerSchema });

/** The body of a new deal. */
const NewDealRequestSchema = exact({ document: DealDocumentSchema });

/** The body of an import: a deal file as text. Its name becomes the customer's. */
const ImportRequestSchema = exact({
  fileName: Type.String({ maxLength: 255, description: "a file name of at most 255 characters" }),
  text: Type.String({ description: "the text of a deal file" }),
});

/** The body of a save of the settings: all of them, and the version that they were made from; 0 where there is none. */
const SettingsRequestSchema = exact({ version: SettledVersion, settings: SettingsSchema });

/** The body of a save of what of them customers never see. */
const SettingsDealerRequestSchema = exact({ version: SettledVersion, dealer: SettingsDealerSchema });

/** The body of a corrected name: what it was in view, and what it is from now on. */
const NameRequestSchema = exact({ was: SomeLine, name: SomeLine });

/** The body of making two customers, or two vehicles, one: the id of the one that is no more. */
const SameRequestSchema = exact({ other: RecordId });

/** What is asked of lenders' programs on an option, as it is typed just now. */
const OF_AN_OPTION = {
  /** The option that it is, of which the dealer may know more. */
  option: OptionId,
  inputs: Type.Unsafe<DealFile>({ type: "object", description: "a deal file" }),
  /** Points of rate that the dealer adds; the house's usual ones where it is left out. */
  spread: Type.Optional(Percent('points of rate from 0 to 100, such as "1.24"', 100)),
};

/** Which programs fit an option. */
const ProgramsRequestSchema = exact({
  ...OF_AN_OPTION,
  rank: Type.Optional(OneOf(...RANKS)),
  /** Whether the dealer's side is open: otherwise nothing is told that is the dealer's. */
  side: Type.Boolean({ description: "true or false" }),
  /** How many are left out at the beginning. */
  from: Type.Optional(Whole(0, MOST_PROGRAMS * MOST_LENDERS, "a number of programs")),
});

const ExtraPlace = Type.Integer({ minimum: 0, maximum: MOST_EXTRAS, description: "the place of an extra" });
const Minor = Type.Integer({ minimum: 0, description: "minor units of the currency" });

/** A program that an option is made with, and what is moved to make it fit. */
const TakeProgramRequestSchema = exact({
  ...OF_AN_OPTION,
  /** The id that the option made with it gets, or its own where it is changed itself. */
  made: OptionId,
  lender: LineName,
  program: LineName,
  moved: Type.Optional(
    tagged(
      "by",
      [
        exact({ by: Type.Literal("down"), to: Minor }),
        exact({ by: Type.Literal("price"), to: Minor }),
        exact({ by: Type.Literal("payments"), payments: Payments }),
        exact({ by: Type.Literal("extras"), left: Type.Array(ExtraPlace, { maxItems: MOST_EXTRAS }) }),
      ],
      'what is moved: "by" is "down", "price", "payments" or "extras"',
    ),
  ),
});

/** The body of taking out a lender, or one of its programs: in view of which state. */
const GoneRatesRequestSchema = exact({
  mark: Type.String({ maxLength: 40, description: "the mark of the rates in view" }),
  lender: LineName,
  program: Type.Optional(LineName),
});

/** The body of a restoring from a copy that the server keeps. */
const RestoreRequestSchema = exact({
  copy: Type.String({ maxLength: 100, description: "the name of a copy" }),
});

/** What each body is checked by; `npm run schema` compiles a check of this name. */
export const REQUESTS = {
  saveRequest: SaveRequestSchema,
  dealerRequest: DealerRequestSchema,
  newDealRequest: NewDealRequestSchema,
  importRequest: ImportRequestSchema,
  restoreRequest: RestoreRequestSchema,
  nameRequest: NameRequestSchema,
  sameRequest: SameRequestSchema,
  settingsRequest: SettingsRequestSchema,
  settingsDealerRequest: SettingsDealerRequestSchema,
  programsRequest: ProgramsRequestSchema,
  takeProgramRequest: TakeProgramRequestSchema,
  goneRatesRequest: GoneRatesRequestSchema,
  vehicle: VehicleSchema,
  vehicles: VehiclesSchema,
  table: TableSchema,
  ...PEOPLE_REQUESTS,
};

export type NameRequest = Type.Static<typeof NameRequestSchema>;
export type SameRequest = Type.Static<typeof SameRequestSchema>;
export type RestoreRequest = Type.Static<typeof RestoreRequestSchema>;
/** What a page of before sent of the dealer's side with the deal. */
type SentOfDealer = { dealer?: Dealer };

export type SaveRequest = Type.Static<typeof SaveRequestSchema> & SentOfDealer;
export type DealerRequest = Type.Static<typeof DealerRequestSchema>;
export type NewDealRequest = Type.Static<typeof NewDealRequestSchema> & SentOfDealer;
export type SettingsDealerRequest = Type.Static<typeof SettingsDealerRequestSchema>;
export type ProgramsRequest = Type.Static<typeof ProgramsRequestSchema>;
export type TakeProgramRequest = Type.Static<typeof TakeProgramRequestSchema>;
export type GoneRatesRequest = Type.Static<typeof GoneRatesRequestSchema>;
export type ImportRequest = Type.Static<typeof ImportRequestSchema>;
export type SettingsRequest = Type.Static<typeof SettingsRequestSchema> & { dealer?: SettingsDealer };
