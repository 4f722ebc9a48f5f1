import Type from "typebox";
import { DealChangeSchema, DealDocumentSchema } from "@/exchange/deal-document/document.schema";
import { RecordId, SomeLine } from "@/exchange/deal-document/named.schema";
import type { Dealer } from "@/exchange/dealer";
import { DealerSchema } from "@/exchange/dealer/dealer.schema";
import { exact } from "@/exchange/schema";
import type { SettingsDealer } from "@/exchange/settings";
import { SettingsDealerSchema, SettingsSchema } from "@/exchange/settings/settings.schema";
import { VehicleSchema, VehiclesSchema } from "@/exchange/stock/stock.schema";
import { TableSchema } from "@/exchange/workbook/table.schema";

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
  vehicle: VehicleSchema,
  vehicles: VehiclesSchema,
  table: TableSchema,
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
export type ImportRequest = Type.Static<typeof ImportRequestSchema>;
export type SettingsRequest = Type.Static<typeof SettingsRequestSchema> & { dealer?: SettingsDealer };
