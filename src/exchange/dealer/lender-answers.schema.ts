import Type from "typebox";
import { Amount, exact, IsoDate, OneOf, Payments, YearlyRate } from "../schema";
import { list } from "../structure/structure.schema";
import { LENDER_STATES, SPREAD_REASONS } from "./answer-states";
import { SignedAmount } from "./reserve.schema";

const MOST_ANSWERS = 30;
const MOST_STIPULATIONS = 30;
const LONGEST_TEXT = 200;

const Text = (what: string) =>
  Type.String({
    minLength: 1,
    maxLength: LONGEST_TEXT,
    pattern: "^[^\\u0000-\\u001f\\u007f]*$",
    description: `${what} of 1 to ${LONGEST_TEXT} characters`,
  });

/** What a lender asks for before it pays, ticked with the day on which it was there. */
const Stipulation = exact({ name: Text("a stipulation"), on: Type.Optional(IsoDate) });

const LenderAnswerSchema = exact({
  lender: Text("a lender’s name"),
  state: OneOf(...LENDER_STATES),
  /** The day on which it was sent, or answered. */
  on: Type.Optional(IsoDate),
  amount: Type.Optional(Amount),
  payments: Type.Optional(Payments),
  buyRate: Type.Optional(YearlyRate),
  stipulations: Type.Optional(list(Stipulation, MOST_STIPULATIONS, "stipulations")),
  goodThrough: Type.Optional(IsoDate),
  fundedOn: Type.Optional(IsoDate),
  funded: Type.Optional(Amount),
  reserveReceived: Type.Optional(SignedAmount),
});

export const LenderAnswersSchema = list(LenderAnswerSchema, MOST_ANSWERS, "lenders’ answers");

/** Why the spread is not the usual one: below it one of some reasons, above it a sentence. */
export const SpreadReasonSchema = exact({
  reason: Type.Optional(OneOf(...SPREAD_REASONS)),
  words: Type.Optional(Text("a sentence")),
});

export type LenderAnswer = Type.Static<typeof LenderAnswerSchema>;
export type SpreadReason = Type.Static<typeof SpreadReasonSchema>;
