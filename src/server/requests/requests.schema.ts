import Type from "typebox";
import { DealChangeSchema, DealDocumentSchema } from "@/exchange/deal-document/document.schema";
import { exact } from "@/exchange/schema";
import { SettingsSchema } from "@/exchange/settings/settings.schema";
import { VehicleSchema, VehiclesSchema } from "@/exchange/stock/stock.schema";

/** The body of a save: what was changed, and the version that it was made from. */
const SaveRequestSchema = exact({
  version: Type.Integer({
    minimum: 1,
    maximum: 2_000_000_000,
    description: "the number of a saved version",
  }),
  change: DealChangeSchema,
  brief: Type.Optional(
    Type.Boolean({
      description: "whether the deal may be left out of the answer where nobody else has changed it",
    }),
  ),
});

/** The body of a new deal. */
const NewDealRequestSchema = exact({ document: DealDocumentSchema });

/** The body of an import: a deal file as text. Its name becomes the customer's. */
const ImportRequestSchema = exact({
  fileName: Type.String({ maxLength: 255, description: "a file name of at most 255 characters" }),
  text: Type.String({ description: "the text of a deal file" }),
});

/** The body of a save of the settings: all of them, and the version that they were made from; 0 where there is none. */
const SettingsRequestSchema = exact({
  version: Type.Integer({
    minimum: 0,
    maximum: 2_000_000_000,
    description: "the number of a saved version, or 0",
  }),
  settings: SettingsSchema,
});

/** The body of a restoring from a copy that the server keeps. */
const RestoreRequestSchema = exact({
  copy: Type.String({ maxLength: 100, description: "the name of a copy" }),
});

/** What each body is checked by; `npm run schema` compiles a check of this name. */
export const REQUESTS = {
  saveRequest: SaveRequestSchema,
  newDealRequest: NewDealRequestSchema,
  importRequest: ImportRequestSchema,
  restoreRequest: RestoreRequestSchema,
  settingsRequest: SettingsRequestSchema,
  vehicle: VehicleSchema,
  vehicles: VehiclesSchema,
};

export type RestoreRequest = Type.Static<typeof RestoreRequestSchema>;
export type SaveRequest = Type.Static<typeof SaveRequestSchema>;
export type NewDealRequest = Type.Static<typeof NewDealRequestSchema>;
export type ImportRequest = Type.Static<typeof ImportRequestSchema>;
export type SettingsRequest = Type.Static<typeof SettingsRequestSchema>;
