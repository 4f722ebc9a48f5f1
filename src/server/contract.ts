import Type from "typebox";
import { DealDocumentSchema } from "@/exchange/deal-document";

/** The body of a save: the whole deal, and the version that the change was made from. */
export const SaveRequestSchema = Type.Object(
  {
    version: Type.Integer({
      minimum: 1,
      maximum: 2_000_000_000,
      description: "the number of a saved version",
    }),
    document: DealDocumentSchema,
  },
  { additionalProperties: false },
);
export type SaveRequest = Type.Static<typeof SaveRequestSchema>;

/** The body of a new deal. */
export const NewDealRequestSchema = Type.Object(
  { document: DealDocumentSchema },
  { additionalProperties: false },
);

/** The body of an import: a deal file as text. Its name becomes the customer's. */
export const ImportRequestSchema = Type.Object(
  {
    fileName: Type.String({ maxLength: 255, description: "a file name of at most 255 characters" }),
    text: Type.String({ description: "the text of a deal file" }),
  },
  { additionalProperties: false },
);
export type ImportRequest = Type.Static<typeof ImportRequestSchema>;

/** A deal as the server gives it. */
export type DealReply = {
  id: string;
  version: number;
  /** ISO 8601 instant. */
  changedAt: string;
  deleted: boolean;
  document: Type.Static<typeof DealDocumentSchema>;
};

export type { StockVehicle } from "@/data/suggestions";

/** One line of the register. Money in minor units; null where the deal has no answer. */
export type RegisterRow = {
  id: string;
  customer: string;
  vehicle: string;
  status: Type.Static<typeof DealDocumentSchema>["status"];
  /** ISO 8601 instant. */
  changedAt: string;
  currency: string;
  payment: number | null;
  /** How often it is paid: "monthly", "two-weekly", "listed". */
  paid: string;
  amountFinanced: number | null;
  /** Why there is no answer. */
  problem: string | null;
};

/** What every refused request answers. */
export type RefusalReply = {
  /** One plain sentence. */
  error: string;
  /** With a conflict: the deal as it is saved now. */
  current?: DealReply;
};
