import Type from "typebox";
import { DealChangeSchema, DealDocumentSchema } from "@/exchange/deal-document/document.schema";
import { exact } from "@/exchange/schema";

/** The body of a save: what was changed, and the version that it was made from. */
export const SaveRequestSchema = exact({
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
export const NewDealRequestSchema = exact({ document: DealDocumentSchema });

/** The body of an import: a deal file as text. Its name becomes the customer's. */
export const ImportRequestSchema = exact({
  fileName: Type.String({ maxLength: 255, description: "a file name of at most 255 characters" }),
  text: Type.String({ description: "the text of a deal file" }),
});

export type SaveRequest = Type.Static<typeof SaveRequestSchema>;
export type NewDealRequest = Type.Static<typeof NewDealRequestSchema>;
export type ImportRequest = Type.Static<typeof ImportRequestSchema>;
