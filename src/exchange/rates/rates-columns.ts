import type { ProgramFile } from "../dealer/program.schema";

/** How a cell of a table of programs is written. */
type CellKind =
  | "text"
  | "kind"
  | "amount"
  | "decimal"
  | "whole"
  | "date"
  | "yes"
  | "limits"
  | "adjustments"
  | "names";

/** A column of a table of programs: what it is called, and which member of a program, or of a row of it, it is. */
export type RatesColumn = { heading: string; path: readonly string[]; kind: CellKind };

const column = (heading: string, path: string, kind: CellKind): RatesColumn => ({
  heading,
  path: path.split("."),
  kind,
});

/** What each row says of its program; all rows of one agree. */
export const PROGRAM_COLUMNS: readonly RatesColumn[] = [
  column("kind", "kind", "kind"),
  column("currency", "currency", "text"),
  column("valid from", "valid.from", "date"),
  column("valid to", "valid.to", "date"),
  column("condition", "condition", "text"),
  column("most years", "vehicle.mostYears", "whole"),
  column("most years at the end", "vehicle.mostYearsAtEnd", "whole"),
  column("most distance", "vehicle.mostDistance", "whole"),
  column("distance unit", "vehicle.unit", "text"),
  column("least amount", "amount.least", "amount"),
  column("most amount", "amount.most", "amount"),
  column("most loan to", "mostLoanTo", "limits"),
  column("least down", "leastDown", "decimal"),
  column("most extras", "mostExtras.percent", "decimal"),
  column("most extras of", "mostExtras.of", "text"),
  column("most payment to income", "mostPaymentToIncome", "decimal"),
  column("most debt to income", "mostDebtToIncome", "decimal"),
  column("first payment within", "firstPaymentWithin", "whole"),
  column("adjustments", "adjust", "adjustments"),
  column("most rate", "mostRate", "decimal"),
  column("rate step", "rateStep", "decimal"),
  column("not with", "notWith", "names"),
  column("fee", "fee.amount", "amount"),
  column("fee paid by", "fee.paidBy", "text"),
  column("fee is a finance charge", "fee.financeCharge", "yes"),
  column("reserve method", "reserve.method", "text"),
  column("reserve share", "reserve.share", "decimal"),
  column("reserve amount", "reserve.amount", "amount"),
  column("reserve percent", "reserve.percent", "decimal"),
  column("most reserve", "reserve.most", "amount"),
  column("chargeback until payment", "reserve.chargeback.until", "whole"),
  column("chargeback until day", "reserve.chargeback.untilDays", "whole"),
  column("chargeback then", "reserve.chargeback.then", "text"),
  column("acquisition fee", "acquisitionFee", "amount"),
  column("disposition fee", "dispositionFee", "amount"),
  column("purchase fee", "purchaseFee", "amount"),
  column("price of distance beyond", "beyond", "decimal"),
  column("most cost to list price", "mostCostToListPrice", "decimal"),
];

/** The ranges that a program has lists of, and the columns that a row of each has; the first tells that it is one. */
export const RANGES = {
  rates: [
    column("buy rate", "buyRate", "decimal"),
    column("money factor", "moneyFactor", "decimal"),
    column("most spread", "mostSpread", "decimal"),
    column("least score", "score.least", "whole"),
    column("most score", "score.most", "whole"),
  ],
  residuals: [column("residual", "percent", "decimal"), column("distance a year", "distance", "whole")],
  balloon: [column("most balloon", "most", "decimal"), column("balloon of", "of", "text")],
} as const satisfies Record<string, readonly RatesColumn[]>;

export type RangeName = keyof typeof RANGES;
export const RANGE_NAMES = Object.keys(RANGES) as RangeName[];

/** The columns that tell that a line has a row of a range. */
export const TELLING: Readonly<Record<RangeName, readonly string[]>> = {
  rates: ["buy rate", "money factor"],
  residuals: ["residual"],
  balloon: ["most balloon"],
};

export const TERM_COLUMNS: readonly RatesColumn[] = [
  column("from month", "from", "whole"),
  column("to month", "to", "whole"),
];

/** All columns, in their order. */
export const RATES_COLUMNS: readonly RatesColumn[] = [
  column("lender", "lender", "text"),
  column("program", "name", "text"),
  ...TERM_COLUMNS,
  ...RANGE_NAMES.flatMap((name): readonly RatesColumn[] => RANGES[name]),
  ...PROGRAM_COLUMNS,
];

/** A member of a program, or of a row of it, by its path. */
export const memberAt = (of: object, path: readonly string[]): unknown =>
  path.reduce<unknown>(
    (value, name) =>
      typeof value === "object" && value !== null ? (value as Record<string, unknown>)[name] : undefined,
    of,
  );

/** The rows of a range of a program. */
export const rowsOf = (program: ProgramFile, range: RangeName): readonly object[] =>
  (memberAt(program, [range]) as readonly object[] | undefined) ?? [];
