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
import { Amount, exact, OneOf, Percent } from "../schema";

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
    exact({ amount: Amount }),
    exact({
      percent: percent("a percent"),
      of: Type.Optional(OneOf("price", "total")),
    }),
    exact({ dueAtSigning: Amount }),
  ],
  {
    description: '{ "amount": … }, { "percent": …, "of": "price" or "total" } or { "dueAtSigning": … }',
  },
);

/** What a fee and an extra have in common. */
export const CHARGE = {
  id: Type.Optional(LineId),
  name: LineName,
  amount: Type.Optional(Amount),
  percentOf: Type.Optional(OneOf("price", "loanAmount", "totalOfPayments")),
  percent: Type.Optional(percent("a percent")),
  taxable: Type.Optional(Type.Boolean({ description: "true or false" })),
  financed: Type.Optional(Type.Boolean({ description: "true or false" })),
  financeCharge: Type.Optional(Type.Boolean({ description: "true or false" })),
  with: Type.Optional(OneOf("firstPayment", "lastPayment", "eachPayment")),
};

const Fee = exact({ ...CHARGE, keptBack: Type.Optional(Type.Boolean({ description: "true or false" })) });

export const Tax = exact({
  name: LineName,
  rate: percent("a rate in percent"),
  on: Type.Array(OneOf("price", "fees", "extras"), {
    minItems: 1,
    maxItems: 3,
    uniqueItems: true,
    description: 'a list of "price", "fees" or "extras"',
  }),
  tradeInCredit: Type.Optional(
    Type.Union([Type.Boolean(), Amount], { description: "true, false or a most amount" }),
  ),
  rebateCredit: Type.Optional(Type.Boolean({ description: "true or false" })),
  rounding: Type.Optional(OneOf("nearest", "up", "down")),
  capOn: Type.Optional(Amount),
  cap: Type.Optional(Amount),
  financed: Type.Optional(Type.Boolean({ description: "true or false" })),
});

const Rebate = exact({
  name: LineName,
  amount: Amount,
  beforeTax: Type.Optional(Type.Boolean({ description: "true or false" })),
});

const TradeIn = exact({
  id: Type.Optional(LineId),
  name: Type.Optional(LineName),
  allowance: Type.Optional(Amount),
  owed: Type.Optional(Amount),
});

/** A member for each line that is one amount. */
const eachAmountLine = <Member extends Type.TSchema>(member: Member) =>
  Object.fromEntries(AMOUNT_LINE_NAMES.map(name => [name, member])) as { [Line in AmountLineName]: Member };

/** The lines from the price to the amount financed. */
export const StructureSchema = exact({
  price: Type.Optional(Amount),
  /** What the maker asks for it, of which a residual can be a percent. */
  listPrice: Type.Optional(Amount),
  taxIncluded: Type.Optional(Type.Boolean({ description: "true or false" })),
  taxes: Type.Optional(list(Tax, MOST_TAXES, "taxes")),
  fees: Type.Optional(list(Fee, MOST_FEES, "fees")),
  extras: Type.Optional(list(exact(CHARGE), MOST_EXTRAS, "extras")),
  rebates: Type.Optional(list(Rebate, MOST_REBATES, "rebates")),
  tradeIn: Type.Optional(exact({ allowance: Type.Optional(Amount), owed: Amount })),
  tradeIns: Type.Optional(list(TradeIn, MOST_TRADE_INS, "trade-ins")),
  down: Type.Optional(CashDown),
  ...eachAmountLine(Type.Optional(Amount)),
  purpose: Type.Optional(LineName),
  payoffs: Type.Optional(list(exact({ name: LineName, amount: Amount }), MOST_PAYOFFS, "debts paid off")),
  /** What the lines that every structure has are called, where not as usual. */
  names: Type.Optional(
    exact({
      price: Type.Optional(LineName),
      ...eachAmountLine(Type.Optional(LineName)),
      down: Type.Optional(LineName),
    }),
  ),
});

/** The structure as it is filed. */
export type StructureFile = Type.Static<typeof StructureSchema>;
export type FeeFile = NonNullable<StructureFile["fees"]>[number];
export type ExtraFile = NonNullable<StructureFile["extras"]>[number];
export type TaxFile = NonNullable<StructureFile["taxes"]>[number];
export type RebateFile = NonNullable<StructureFile["rebates"]>[number];
export type TradeInFile = NonNullable<StructureFile["tradeIns"]>[number];
