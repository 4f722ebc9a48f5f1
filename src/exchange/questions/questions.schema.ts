import Type from "typebox";
import { MOST_PAYMENTS, MOST_TIME_VALUE_PAYMENTS, WORKED_FIGURES } from "@/core";
import { ReturnSchema } from "../extra-payments/return.schema";
import { MatchQuestion } from "../match/match-question.schema";
import {
  Amount,
  AskedPayments,
  CompoundingWord,
  Count,
  Currency,
  exact,
  FrequencyWord,
  IsoDate,
  OneOf,
  TimingWord,
  tagged,
  YearlyRate,
} from "../schema";
import { DEALER_QUESTIONS } from "./dealer-questions.schema";

/** How much one file can ask. */
export const MOST_QUESTIONS = 100;

const MOST_ROWS = 120;
const MOST_AMOUNTS_EACH_WAY = 5000;

const word = <Word extends string>(text: Word) => Type.Literal(text, { description: `"${text}"` });

const PaymentNumber = Count(0, MOST_PAYMENTS, "the number of a payment");
const Terms = Type.Array(AskedPayments, {
  minItems: 1,
  maxItems: MOST_ROWS,
  description: `a list of 1 to ${MOST_ROWS} terms`,
});

/** Money with the way it goes, said in words. */
const Money = Type.Union([exact({ received: Amount }), exact({ paid: Amount })], {
  description: '{ "received": … } or { "paid": … }',
});

const RateKind = tagged(
  "kind",
  [
    exact({
      kind: word("nominal"),
      compounding: OneOf("daily", "weekly", "monthly", "quarterly", "halfYearly", "yearly"),
    }),
    exact({ kind: word("effective") }),
    exact({ kind: word("periodic"), frequency: FrequencyWord }),
    exact({ kind: word("continuous") }),
    exact({ kind: word("moneyFactor") }),
    exact({
      kind: word("flat"),
      frequency: FrequencyWord,
      payments: AskedPayments,
    }),
  ],
  'a kind of rate: "nominal" with its compounding, "effective", "periodic" with its frequency, "continuous", "moneyFactor", or "flat" with its frequency and payments',
);

const DatedAmounts = Type.Array(exact({ date: IsoDate, amount: Amount }), {
  minItems: 1,
  maxItems: MOST_AMOUNTS_EACH_WAY,
  description: `a list of 1 to ${MOST_AMOUNTS_EACH_WAY} amounts with their dates`,
});

/** Five-figure time value of money: the figure named by find is left out. */
const TimeValue = exact({
  ask: word("timeValue"),
  find: OneOf("presentValue", "payment", "futureValue", "payments", "yearlyRate"),
  presentValue: Type.Optional(Money),
  payment: Type.Optional(Money),
  futureValue: Type.Optional(Money),
  payments: Type.Optional(Count(1, MOST_TIME_VALUE_PAYMENTS, "a whole number of payments")),
  yearlyRate: Type.Optional(YearlyRate),
  frequency: FrequencyWord,
  compounding: Type.Optional(CompoundingWord),
  timing: Type.Optional(TimingWord),
});

const Rate = exact({
  ask: word("rate"),
  figure: Type.Union(
    [
      Type.String({ pattern: "^-?\\d{1,6}(\\.\\d{1,12})?$" }),
      Type.Number({ minimum: -1000, maximum: 1_000_000 }),
    ],
    { description: 'a rate such as "6.49", or a money factor such as "0.00125"' },
  ),
  from: RateKind,
  to: RateKind,
});

const Apr = exact({ ask: word("apr"), advances: DatedAmounts, payments: DatedAmounts });

/** After the payment of a number, or on a date: one of the two; and until when a sum is to be good. */
const PayoffQuestion = exact({
  ask: word("payoff"),
  after: Type.Optional(PaymentNumber),
  on: Type.Optional(IsoDate),
  goodThrough: Type.Optional(IsoDate),
});

/** By a payment or a date, with each payment or once: one of two each time. */
const PaidOffByQuestion = exact({
  ask: word("paidOffBy"),
  payments: Type.Optional(AskedPayments),
  date: Type.Optional(IsoDate),
  with: exact({
    each: Type.Optional(exact({ from: Type.Optional(AskedPayments), to: Type.Optional(AskedPayments) })),
    after: Type.Optional(AskedPayments),
    date: Type.Optional(IsoDate),
  }),
});

/** What to do with money in hand right after a payment; the return is the deal's where left out. */
const KeepOrPayQuestion = exact({
  ask: word("keepOrPay"),
  after: AskedPayments,
  amount: Amount,
  return: Type.Optional(ReturnSchema),
});

/** Between two payments, or two dates: one of the two. */
const TotalsQuestion = exact({
  ask: word("totals"),
  payments: Type.Optional(exact({ from: PaymentNumber, to: PaymentNumber })),
  dates: Type.Optional(exact({ from: IsoDate, to: IsoDate })),
});

const TotalsByYear = exact({ ask: word("totalsByYear") });

const Affordability = exact({ ask: word("affordability"), budget: Amount, terms: Terms });

const PerThousand = exact({
  ask: word("perThousand"),
  rates: Type.Array(YearlyRate, {
    minItems: 1,
    maxItems: MOST_ROWS,
    description: `a list of 1 to ${MOST_ROWS} rates`,
  }),
  terms: Terms,
});

const Working = exact({ ask: word("working"), figure: OneOf(...WORKED_FIGURES) });

const FREE = [TimeValue, Rate, Apr] as const;
const OF_A_DEAL = [
  PayoffQuestion,
  PaidOffByQuestion,
  KeepOrPayQuestion,
  TotalsQuestion,
  TotalsByYear,
  Affordability,
  PerThousand,
  Working,
] as const;

/** What may be asked along with a deal. */
const QuestionSchema = tagged(
  "ask",
  [...OF_A_DEAL, MatchQuestion, ...DEALER_QUESTIONS, ...FREE],
  'a question: "ask" is "payoff", "paidOffBy", "keepOrPay", "totals", "totalsByYear", "affordability", "perThousand", "working", "match", "chargeback", "income", "incomeWorking", "timeValue", "rate" or "apr"',
);

/** What a file asks about its loan. */
export const QuestionsSchema = Type.Array(QuestionSchema, {
  maxItems: MOST_QUESTIONS,
  description: `a list of at most ${MOST_QUESTIONS} questions`,
});

/** What may be asked without a deal. */
const FreeQuestionSchema = tagged(
  "ask",
  [...FREE],
  'a question that needs no deal: "ask" is "timeValue", "rate" or "apr"',
);

/** A file of questions that need no deal. */
export const QuestionFileSchema = exact({
  format: Type.Literal("kellux-questions", { description: '"kellux-questions"' }),
  version: Type.Literal(1, { description: "1" }),
  currency: Currency,
  ask: Type.Array(FreeQuestionSchema, {
    minItems: 1,
    maxItems: MOST_QUESTIONS,
    description: `a list of 1 to ${MOST_QUESTIONS} questions`,
  }),
});

export type QuestionFile = Type.Static<typeof QuestionFileSchema>;
export type FreeQuestion = Type.Static<(typeof FREE)[number]>;
export type DealQuestion = Type.Static<(typeof OF_A_DEAL)[number]>;
