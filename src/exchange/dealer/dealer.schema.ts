import Type from "typebox";
import { MOST_EXTRAS, MOST_FEES, MOST_REBATES, MOST_TRADE_INS } from "@/core";
import { byOption } from "../deal-document/option-id.schema";
import { Amount, exact, IsoDate, Whole, YearlyRate } from "../schema";
import { LineId, LineName, list } from "../structure/structure.schema";
import { LenderAnswersSchema, SpreadReasonSchema } from "./lender-answers.schema";
import { ProgramSchema } from "./program.schema";
import {
  ExtraChargebackSchema,
  OfficerShareSchema,
  OtherIncomeSchema,
  ReserveSchema,
} from "./reserve.schema";

/** Also of lines that were taken out, until they are too many. */
const MOST_COSTS_KEPT = 1000;
const MOST_OTHERS = 20;
const MOST_CHARGED_BACK = 20;
const HIGHEST_SCORE = 1000;

const byLine = <Known extends Type.TSchema>(known: Known, what: string) =>
  Type.Record(LineId, known, {
    additionalProperties: false,
    maxProperties: MOST_COSTS_KEPT,
    description: `${what} by the ids of at most ${MOST_COSTS_KEPT} lines`,
  });

/** The lenders' program that an option was made with, as it was then. */
const TakenProgram = exact({ lender: LineName, on: Type.Optional(IsoDate), program: ProgramSchema });

/** What is known of an option as a whole, in a file as it is kept. */
const OF_THE_OPTION = {
  /** What the vehicle cost the dealer. */
  cost: Type.Optional(Amount),
  /** What the dealer pays to the lender. */
  lenderFee: Type.Optional(Amount),
  others: Type.Optional(list(OtherIncomeSchema, MOST_OTHERS, "amounts")),
  /** What the lender buys at: percent a year, or a money factor where the lease is reckoned by one. */
  buyRate: Type.Optional(YearlyRate),
  reserve: Type.Optional(ReserveSchema),
  officerShare: Type.Optional(OfficerShareSchema),
  spreadReason: Type.Optional(SpreadReasonSchema),
  program: Type.Optional(TakenProgram),
  lenderAnswers: Type.Optional(LenderAnswersSchema),
  /** What has come back to the lender, or been given back of an extra. */
  chargedBack: Type.Optional(
    list(exact({ on: IsoDate, amount: Amount }), MOST_CHARGED_BACK, "amounts with their days"),
  ),
};

/** What the dealer's side knows of an option. */
const OfAnOption = exact({
  ...OF_THE_OPTION,
  /** What fees and extras cost, what trade-ins are worth, what of rebates is the dealer's own: by the ids of their lines. */
  costs: Type.Optional(byLine(Amount, "amounts")),
  extraChargebacks: Type.Optional(byLine(ExtraChargebackSchema, "what comes back,")),
});

/** What a lender asks of a customer: a score, and gross income, housing and debts a month. */
export const ApplicantSchema = exact({
  score: Type.Optional(Whole(0, HIGHEST_SCORE, "a score")),
  income: Type.Optional(Amount),
  housing: Type.Optional(Amount),
  debts: Type.Optional(Amount),
  /** What of these is paid on loans that the deal pays off. */
  paidOff: Type.Optional(Amount),
});

/**
 * What of a deal the customer never sees. What belongs to a line or to an option stays when that goes, so that it is there
 * when the line comes back.
 */
export const DealerSchema = exact({
  options: Type.Optional(byOption(OfAnOption, "the dealer's side of")),
  applicant: Type.Optional(ApplicantSchema),
  /** When the officer was reminded of the notice that a customer is owed whose score sets the rate (12 CFR 1022.72). */
  scoreNoticeOn: Type.Optional(IsoDate),
});

const AmountOrNone = Type.Union([...Amount.anyOf, Type.Null()], {
  description: 'an amount of 0 or more, such as "1040.00", or null',
});

/** The dealer's side of an option as it is filed: what is known of lines stands in their order. */
export const DealerFileSchema = exact({
  ...OF_THE_OPTION,
  feeCosts: Type.Optional(list(AmountOrNone, MOST_FEES, "amounts")),
  extraCosts: Type.Optional(list(AmountOrNone, MOST_EXTRAS, "amounts")),
  tradeInValues: Type.Optional(list(AmountOrNone, MOST_TRADE_INS, "amounts")),
  ownRebates: Type.Optional(list(AmountOrNone, MOST_REBATES, "amounts")),
  extraChargebacks: Type.Optional(
    list(
      Type.Union([ExtraChargebackSchema, Type.Null()], {
        description: '{ "term": …, "untilDays": … } or null',
      }),
      MOST_EXTRAS,
      "terms",
    ),
  ),
});

/** The dealer's part of a deal. */
export type Dealer = Type.Static<typeof DealerSchema>;
export type Applicant = Type.Static<typeof ApplicantSchema>;
export type DealerOfOption = Type.Static<typeof OfAnOption>;
export type DealerFile = Type.Static<typeof DealerFileSchema>;
