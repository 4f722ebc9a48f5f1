import Type from "typebox";
import { EVERY_RECORD, Text } from "../kinds/kind/record-parts.schema";
import { type LeaseRecord, LeaseRecordSchema } from "../kinds/lease/record.schema";
import { type LoanRecord, LoanRecordSchema } from "../kinds/loan/record.schema";
import { exact, tagged } from "../schema";

/** An option that had no answer when its deal was signed, with the reason why. */
const NoAnswerSchema = exact({
  kind: Type.Literal("none"),
  ...EVERY_RECORD,
  words: exact({ sentence: Text }),
});

/** What an option of a deal was signed with. */
export const SignedQuoteSchema = tagged(
  "kind",
  [LoanRecordSchema, LeaseRecordSchema, NoAnswerSchema],
  "what was signed: a loan, a lease, or why there was no answer",
);

export type NoAnswerRecord = Type.Static<typeof NoAnswerSchema>;
export type SignedQuote = LoanRecord | LeaseRecord | NoAnswerRecord;
