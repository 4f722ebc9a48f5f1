import Type from "typebox";
import { WORKED_LEASE_FIGURES } from "@/core";
import { DEALER_QUESTIONS } from "../../../questions/dealer-questions.schema";
import { MOST_QUESTIONS } from "../../../questions/questions.schema";
import { Amount, AskedPayments, exact, OneOf } from "../../../schema";

const OF_A_LEASE =
  '{ "ask": "endEarly", "after": …, "value": … } { "ask": "excessDistance" } { "ask": "working", "figure": … }';

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
    description: OF_A_LEASE,
  },
);

const AnyQuestion = Type.Union([...Question.anyOf, ...DEALER_QUESTIONS], {
  description: `${OF_A_LEASE} { "ask": "chargeback", "after": … } { "ask": "income", … } or { "ask": "incomeWorking" }`,
});

/** What a file asks about its lease. */
export const LeaseQuestionsSchema = Type.Array(AnyQuestion, {
  maxItems: MOST_QUESTIONS,
  description: `a list of at most ${MOST_QUESTIONS} questions`,
});

export type LeaseQuestion = Type.Static<typeof Question>;
