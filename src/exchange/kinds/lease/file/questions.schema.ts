import Type from "typebox";
import { WORKED_LEASE_FIGURES } from "@/core";
import { MOST_QUESTIONS } from "../../../questions/questions.schema";
import { Amount, AskedPayments, exact, OneOf } from "../../../schema";

/** A question about an answered lease. */
const Question = Type.Union(
  [
    exact({
      ask: Type.Literal("endEarly"),
      after: AskedPayments,
      value: Type.Optional(Amount),
    }),
    exact({ ask: Type.Literal("excessDistance") }),
    exact({ ask: Type.Literal("working"), figure: OneOf(...WORKED_LEASE_FIGURES) }),
  ],
  {
    description:
      '{ "ask": "endEarly", "after": …, "value": … } { "ask": "excessDistance" } or { "ask": "working", "figure": … }',
  },
);

/** What a file asks about its lease. */
export const LeaseQuestionsSchema = Type.Array(Question, {
  maxItems: MOST_QUESTIONS,
  description: `a list of at most ${MOST_QUESTIONS} questions`,
});

export type LeaseQuestion = Type.Static<typeof Question>;
