import Type from "typebox";
import { DEAL_STATUSES, LONGEST_NAME, MOST_OPTIONS } from "../deal-document";
import { ASIDES_OF_AN_OPTION, ASIDES_OF_THE_DEAL } from "../deal-document/asides.schema";
import { Line, Notes, UseMember } from "../deal-document/document.schema";
import { LeaseFileSchema, LoanFileSchema } from "../deal-file/deal-file.schema";
import { ApplicantSchema, DealerFileSchema } from "../dealer/dealer.schema";
import { PlaceMember } from "../place/place.schema";
import { Amount, Currency, exact, OneOf } from "../schema";
import { StockNumber } from "../stock/stock.schema";
import { FiledKeepForSchema } from "./filed-keep-for.schema";

const FRAME = {
  format: Type.Literal("kellux-deal", { description: '"kellux-deal"' }),
  version: Type.Literal(2, { description: "2" }),
  currency: Currency,
  customer: Type.Optional(Line),
  vehicle: Type.Optional(Line),
  /** The vehicle's in stock: by it a file finds the vehicle again. */
  stockNumber: Type.Optional(StockNumber),
  status: Type.Optional(OneOf(...DEAL_STATUSES)),
  /** What the customer can pay a month. */
  budget: Type.Optional(Amount),
  /** What is to be remembered of it. */
  notes: Type.Optional(Notes),
  ...PlaceMember,
  ...UseMember,
  ...ASIDES_OF_THE_DEAL,
  /** How long the vehicle is kept, and what is assumed of that. */
  keepFor: Type.Optional(FiledKeepForSchema),
  /** What a lender asks of the customer, which is the dealer's alone. */
  applicant: Type.Optional(ApplicantSchema),
  /** Which option is chosen, from 1. */
  chosen: Type.Optional(
    Type.Integer({
      minimum: 1,
      maximum: MOST_OPTIONS,
      description: `the number of an option, from 1 to ${MOST_OPTIONS}`,
    }),
  ),
};

const NAME = { name: Type.Optional(Line) };

/** What the dealer alone sees of an option. */
const DEALER = { dealer: Type.Optional(DealerFileSchema) };

/** What an option has beside what makes its quote. */
const BESIDE = { ...NAME, ...DEALER, ...ASIDES_OF_AN_OPTION };

function optionsOf<Option extends Type.TSchema>(option: Option) {
  return Type.Array(option, {
    minItems: 1,
    maxItems: MOST_OPTIONS,
    description: `a list of 1 to ${MOST_OPTIONS} options`,
  });
}

/** The deal around its options, whose own figures are checked one by one: a wrong one refuses no other. */
export const DealFrameSchema = exact({
  ...FRAME,
  options: optionsOf(
    Type.Object(NAME, { description: `an option, with a name of at most ${LONGEST_NAME} characters` }),
  ),
});

const { format: _f, version: _v, currency: _c, ...loan } = LoanFileSchema.properties;
const { format: _lf, version: _lv, currency: _lc, ...lease } = LeaseFileSchema.properties;

/** A whole deal as it is filed: version 2 of the deal file. */
export const WholeDealSchema = exact({
  ...FRAME,
  options: optionsOf(
    Type.Union([exact({ ...BESIDE, ...loan }), exact({ ...BESIDE, ...lease })], {
      description: "an option: a loan or a lease",
    }),
  ),
});

export type DealFrame = Type.Static<typeof DealFrameSchema>;
export type WholeDealFile = Type.Static<typeof WholeDealSchema>;
