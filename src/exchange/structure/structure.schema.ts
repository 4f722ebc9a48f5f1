import Type from "typebox";
import {
  AMOUNT_LINE_NAMES,
  type AmountLineName,
  LONGEST_LINE_NAME,
  MOST_EXTRAS,
  MOST_FEES,
  MOST_PAYOFFS,
  MOST_REBATES,
  MOST_TAXES,
  MOST_TRADE_INS,
} from "@/core";
import { Amount, exact, OneOf, Percent, seen, Whole } from "../schema";

/** What a line is called. */
export const LineName = Type.String({
  minLength: 1,
  maxLength: LONGEST_LINE_NAME,
  pattern: "^[^\\u0000-\\u001f\\u007f]*$",
  description: `a name of 1 to ${LONGEST_LINE_NAME} characters`,
});

/** By what the dealer's part knows a line again, whatever becomes of it. */
export const LineId = Type.String({
  pattern: "^[0-9a-z][0-9a-z-]{0,59}$",
  description: "an id of 1 to 60 small letters, digits and hyphens",
});

const percent = (what: string) => Percent(`${what} from 0 to 100, such as "6.25"`, 100);

/** A list of at most so many. */
export const list = <Item extends Type.TSchema>(item: Item, maxItems: number, what: string) =>
  Type.Array(item, { maxItems, description: `a list of at most ${maxItems} ${what}` });

const CashDown = Type.Union(
  [
    exact({ amount: seen(Amount) }),
    exact({
      percent: seen(percent("a percent")),
      of: seen(Type.Optional(OneOf("price", "total"))),
    }),
    exact({ dueAtSigning: seen(Amount) }),
  ],
  {
    description: '{ "amount": … }, { "percent": …, "of": "price" or "total" } or { "dueAtSigning": … }',
  },
);

/** What a fee and an extra have in common. */
export const CHARGE = {
  id: seen(Type.Optional(LineId)),
  name: seen(LineName),
  amount: seen(Type.Optional(Amount)),
  percentOf: seen(Type.Optional(OneOf("price", "loanAmount", "totalOfPayments"))),
  percent: seen(Type.Optional(percent("a percent"))),
  taxable: seen(Type.Optional(Type.Boolean({ description: "true or false" }))),
  financed: seen(Type.Optional(Type.Boolean({ description: "true or false" }))),
  financeCharge: seen(Type.Optional(Type.Boolean({ description: "true or false" }))),
  with: seen(Type.Optional(OneOf("firstPayment", "lastPayment", "eachPayment"))),
};

const Fee = exact({
  ...CHARGE,
  keptBack: seen(Type.Optional(Type.Boolean({ description: "true or false" }))),
});

const YesOrNo = seen(Type.Boolean({ description: "true or false" }));

/** Fifty years. */
const LONGEST_MONTHS = 600;

/** An extra: what of a cover keeps its price out of what credit costs (12 CFR 1026.4(d)) stands with it once it was asked. */
const Extra = exact({
  ...CHARGE,
  /** For how many months it holds, where that is not as long as the deal. */
  months: seen(Type.Optional(Whole(1, LONGEST_MONTHS, "a number of months"))),
  optional: seen(
    Type.Optional(exact({ voluntary: YesOrNo, costDisclosed: YesOrNo, askedForInWriting: YesOrNo })),
  ),
});

export const Tax = exact({
  name: seen(LineName),
  rate: seen(percent("a rate in percent")),
  on: seen(
    Type.Array(OneOf("price", "fees", "extras"), {
      minItems: 1,
      maxItems: 3,
      uniqueItems: true,
      description: 'a list of "price", "fees" or "extras"',
    }),
  ),
  tradeInCredit: seen(
    Type.Optional(Type.Union([Type.Boolean(), Amount], { description: "true, false or a most amount" })),
  ),
  rebateCredit: seen(Type.Optional(Type.Boolean({ description: "true or false" }))),
  rounding: seen(Type.Optional(OneOf("nearest", "up", "down"))),
  capOn: seen(Type.Optional(Amount)),
  cap: seen(Type.Optional(Amount)),
  financed: seen(Type.Optional(Type.Boolean({ description: "true or false" }))),
});

const Rebate = exact({
  id: seen(Type.Optional(LineId)),
  name: seen(LineName),
  amount: seen(Amount),
  beforeTax: seen(Type.Optional(Type.Boolean({ description: "true or false" }))),
});

const TradeIn = exact({
  id: seen(Type.Optional(LineId)),
  name: seen(Type.Optional(LineName)),
  allowance: seen(Type.Optional(Amount)),
  owed: seen(Type.Optional(Amount)),
});

/** A member for each line that is one amount. */
const eachAmountLine = <Member extends Type.TSchema>(member: Member) =>
  Object.fromEntries(AMOUNT_LINE_NAMES.map(name => [name, member])) as { [Line in AmountLineName]: Member };

/** The lines from the price to the amount financed. */
export const StructureSchema = exact({
  price: seen(Type.Optional(Amount)),
  /** What the maker asks for it, of which a residual can be a percent. */
  listPrice: seen(Type.Optional(Amount)),
  taxIncluded: seen(Type.Optional(Type.Boolean({ description: "true or false" }))),
  taxes: seen(Type.Optional(list(Tax, MOST_TAXES, "taxes"))),
  fees: seen(Type.Optional(list(Fee, MOST_FEES, "fees"))),
  extras: seen(Type.Optional(list(Extra, MOST_EXTRAS, "extras"))),
  rebates: seen(Type.Optional(list(Rebate, MOST_REBATES, "rebates"))),
  tradeIn: seen(Type.Optional(exact({ allowance: seen(Type.Optional(Amount)), owed: seen(Amount) }))),
  tradeIns: seen(Type.Optional(list(TradeIn, MOST_TRADE_INS, "trade-ins"))),
  down: seen(Type.Optional(CashDown)),
  ...eachAmountLine(seen(Type.Optional(Amount))),
  purpose: seen(Type.Optional(LineName)),
  payoffs: seen(
    Type.Optional(
      list(exact({ name: seen(LineName), amount: seen(Amount) }), MOST_PAYOFFS, "debts paid off"),
    ),
  ),
  /** What the lines that every structure has are called, where not as usual. */
  names: seen(
    Type.Optional(
      exact({
        price: seen(Type.Optional(LineName)),
        ...eachAmountLine(seen(Type.Optional(LineName))),
        down: seen(Type.Optional(LineName)),
      }),
    ),
  ),
});

/** The structure as it is filed. */
export type StructureFile = Type.Static<typeof StructureSchema>;
export type FeeFile = NonNullable<StructureFile["fees"]>[number];
export type ExtraFile = NonNullable<StructureFile["extras"]>[number];
export type TaxFile = NonNullable<StructureFile["taxes"]>[number];
export type RebateFile = NonNullable<StructureFile["rebates"]>[number];
export type TradeInFile = NonNullable<StructureFile["tradeIns"]>[number];
