import Type from "typebox";
import { DealFileSchema } from "./deal-file/schema";

export const DEAL_STATUSES = ["quoting", "agreed", "signed", "lost"] as const;
export type DealStatus = (typeof DEAL_STATUSES)[number];

/** One line of plain text: no control characters, which a database or a file could not keep. */
const Line = Type.String({
  maxLength: 120,
  pattern: "^[^\\u0000-\\u001f\\u007f]*$",
  description: "one line of at most 120 characters",
});

/** All of a deal that an officer can change. */
export const DealDocumentSchema = Type.Object(
  {
    /** Empty where there is no customer yet. */
    customer: Line,
    /** Empty where there is no vehicle. */
    vehicle: Line,
    status: Type.Enum(DEAL_STATUSES, { description: '"quoting", "agreed", "signed" or "lost"' }),
    inputs: DealFileSchema,
  },
  { additionalProperties: false },
);

export type DealDocument = Type.Static<typeof DealDocumentSchema>;
