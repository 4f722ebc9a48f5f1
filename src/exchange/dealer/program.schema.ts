import Type from "typebox";
import { LONGEST_LINE_NAME } from "@/core";
import { VEHICLE_CONDITIONS } from "@/core/programs";
import { Amount, Currency, exact, IsoDate, OneOf, Percent, tagged, Whole } from "../schema";
import { LineName, list } from "../structure/structure.schema";
import { ReserveSchema } from "./reserve.schema";

const MOST_ROWS = 100;
const MOST_LIMITS = 8;
const MOST_ADJUSTMENTS = 30;
const MOST_NAMES = 20;
const LONGEST_TERM = 600;
const HIGHEST_SCORE = 1000;
const HIGHEST_RATE = 1000;
const MOST_YEARS = 100;
const FARTHEST = 9_999_999;
const LONGEST_WAIT = 3660;

const percent = (what: string) => Percent(`${what}, such as "115"`, 1000);
const Rate = Percent(`a rate from 0 to ${HIGHEST_RATE}, such as "5.25"`, HIGHEST_RATE);
const Worth = OneOf("invoice", "bookValue", "listPrice", "price");
const Lent = OneOf("all", "vehicle");
const Term = Whole(1, LONGEST_TERM, "a number of months");
const Score = Whole(0, HIGHEST_SCORE, "a score");
const FarAway = Whole(0, FARTHEST, "a distance");

const some = <Item extends Type.TSchema>(item: Item, most: number, what: string) =>
  Type.Array(item, { minItems: 1, maxItems: most, description: `a list of 1 to ${most} ${what}` });

/** Terms that something is of, both ends counted. */
const TERMS = { from: Term, to: Term };

const SCORES = {
  score: Type.Optional(exact({ least: Type.Optional(Score), most: Type.Optional(Score) })),
  /** The most that the dealer may add, in the unit of the rate. */
  mostSpread: Type.Optional(Rate),
};

const Adjustment = exact({
  when: Type.Union(
    [
      exact({ loanTo: exact({ above: percent("a percent"), of: Worth, what: Lent }) }),
      exact({ distance: exact({ above: FarAway }) }),
    ],
    {
      description: '{ "loanTo": { "above": …, "of": …, "what": … } } or { "distance": { "above": … } }',
    },
  ),
  add: Rate,
});

/** What programs of every kind can say; what is left out is no limit. */
const OF_EVERY_PROGRAM = {
  name: LineName,
  currency: Currency,
  valid: Type.Optional(exact({ from: Type.Optional(IsoDate), to: Type.Optional(IsoDate) })),
  condition: Type.Optional(OneOf(...VEHICLE_CONDITIONS)),
  vehicle: Type.Optional(
    exact({
      mostYears: Type.Optional(Whole(0, MOST_YEARS, "a number of years")),
      mostYearsAtEnd: Type.Optional(Whole(0, MOST_YEARS, "a number of years")),
      mostDistance: Type.Optional(FarAway),
      /** Of all distances of the program; those of the vehicle where it is left out. */
      unit: Type.Optional(OneOf("km", "mi")),
    }),
  ),
  amount: Type.Optional(exact({ least: Type.Optional(Amount), most: Type.Optional(Amount) })),
  mostLoanTo: Type.Optional(
    list(exact({ percent: percent("a percent"), of: Worth, what: Lent }), MOST_LIMITS, "limits"),
  ),
  leastDown: Type.Optional(percent("a percent of the price")),
  mostExtras: Type.Optional(exact({ percent: percent("a percent"), of: Worth })),
  mostPaymentToIncome: Type.Optional(percent("a percent of the income")),
  mostDebtToIncome: Type.Optional(percent("a percent of the income")),
  firstPaymentWithin: Type.Optional(Whole(0, LONGEST_WAIT, "a number of days")),
  adjust: Type.Optional(list(Adjustment, MOST_ADJUSTMENTS, "adjustments")),
  mostRate: Type.Optional(Rate),
  rateStep: Type.Optional(Rate),
  notWith: Type.Optional(list(LineName, MOST_NAMES, `names of 1 to ${LONGEST_LINE_NAME} characters`)),
  reserve: Type.Optional(ReserveSchema),
};

const OF_A_LOAN = {
  ...OF_EVERY_PROGRAM,
  rates: some(exact({ ...TERMS, ...SCORES, buyRate: Rate }), MOST_ROWS, "rates"),
  /** The most that may be left at the end: from any term where `from` is left out; an empty list allows none. */
  balloon: Type.Optional(
    list(
      exact({
        from: Type.Optional(Term),
        to: Term,
        most: percent("a percent"),
        of: OneOf("listPrice", "price"),
      }),
      MOST_ROWS,
      "balloons",
    ),
  ),
  fee: Type.Optional(
    exact({
      amount: Amount,
      paidBy: OneOf("customer", "dealer"),
      financeCharge: Type.Optional(Type.Boolean({ description: "true or false" })),
    }),
  ),
};

const kind = <Word extends string>(word: Word) => ({
  kind: Type.Literal(word, { description: `"${word}"` }),
});

/** What a lender offers, to whom, at which buy rate. */
export const ProgramSchema = tagged(
  "kind",
  [
    exact({ ...kind("loan"), ...OF_A_LOAN }),
    exact({ ...kind("balloon"), ...OF_A_LOAN }),
    exact({ ...kind("flatRate"), ...OF_A_LOAN }),
    exact({
      ...kind("lease"),
      ...OF_EVERY_PROGRAM,
      /** By money factor, or by yearly rate: all rows alike. */
      rates: some(
        exact({
          ...TERMS,
          ...SCORES,
          moneyFactor: Type.Optional(Rate),
          buyRate: Type.Optional(Rate),
        }),
        MOST_ROWS,
        "rates",
      ),
      /** Percents of the list price, each up to so much distance a year. */
      residuals: Type.Optional(
        list(
          exact({ ...TERMS, distance: Type.Optional(FarAway), percent: percent("a percent") }),
          MOST_ROWS,
          "residuals",
        ),
      ),
      acquisitionFee: Type.Optional(Amount),
      dispositionFee: Type.Optional(Amount),
      purchaseFee: Type.Optional(Amount),
      /** What a unit of distance beyond costs, in whole units of the currency. */
      beyond: Type.Optional(
        Type.String({ pattern: "^\\d{1,4}(\\.\\d{1,6})?$", description: 'a price such as "0.25"' }),
      ),
      mostCostToListPrice: Type.Optional(percent("a percent of the list price")),
    }),
  ],
  'a program: "kind" is "loan", "balloon", "flatRate" or "lease"',
);

export type ProgramFile = Type.Static<typeof ProgramSchema>;
export type LeaseProgramFile = Extract<ProgramFile, { kind: "lease" }>;
export type LoanProgramFile = Exclude<ProgramFile, LeaseProgramFile>;
