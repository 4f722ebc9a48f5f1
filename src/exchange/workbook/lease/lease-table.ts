import type { LeaseQuote, LeaseRow } from "@/core";
import { type Cell, placeIn, type Sheet, serialOf } from "../../workbook-parts/workbook";
import { type LeaseCells, leaseRoom } from "./payment-steps";

const START = 4;
const SEEN = {
  number: "A",
  due: "B",
  what: "C",
  payment: "D",
  rent: "E",
  depreciation: "F",
  tax: "G",
  balance: "H",
};
const HIDDEN = { row: "J", state: "K", rent: "L", depreciation: "M", balance: "N", flow: "O" };
const WHAT: Record<LeaseRow["kind"], string> = {
  atSigning: "at signing",
  payment: "",
  closing: "residual due",
};

/** Where a hidden column of the table stands, from the row of the start. */
export const leaseColumn = (sheet: string, column: keyof typeof HIDDEN, room: number, from = START): string =>
  `${placeIn(sheet, `${HIDDEN[column]}${from}`)}:${placeIn(sheet, `${HIDDEN[column]}${START + room + 1}`).split("!")[1]}`;

type TableOf = { quote: LeaseQuote; name: string; lease: LeaseCells; cost: string; scale: number };

/** The lessor's table: each payment split into rent and depreciation, down to exactly the residual. */
export function leaseTableSheet(of: TableOf): Sheet {
  const { quote, name, lease, cost, scale } = of;
  const headings = ["No.", "Due", "", "Payment", "Rent", "Depreciation", "Tax", "Balance"];
  const cells: Cell[] = [
    { at: "A1", value: "Payments of the lease", style: "title" },
    {
      at: "A2",
      formula: `IF(ISNUMBER(${lease.base}),"","There is no payment for these figures.")`,
      result: "",
      style: "faint",
    },
    ...headings.map(
      (value, index): Cell => ({
        at: `${String.fromCharCode(65 + index)}3`,
        value,
        style: "heading",
        ...(index !== 2 && { format: "amount" }),
      }),
    ),
    { at: `${SEEN.what}${START}`, value: "start", style: "faint" },
    { at: `${HIDDEN.row}${START}`, value: 0 },
    { at: `${HIDDEN.balance}${START}`, formula: cost },
    {
      at: `${HIDDEN.flow}${START}`,
      formula: `IF(ISNUMBER(${lease.base}),${lease.atSigning}*${lease.base}-${cost},0)`,
    },
    seen(START, "balance", quote.cost / scale, scale),
  ];
  for (let k = 1; k <= leaseRoom(quote) + 1; k++) cells.push(...rowCells(k, quote.schedule[k - 1], of));
  return {
    name,
    columns: [
      ...[7, 15, 14, 15, 14, 15, 12, 16].map(width => ({ width })),
      { width: 2 },
      ...Object.keys(HIDDEN).map(() => ({ width: 12, isHidden: true })),
    ],
    cells,
    headRows: 3,
    lastColumn: "H",
    rows: START + quote.schedule.length,
  };
}

const seen = (
  row: number,
  column: "rent" | "depreciation" | "balance",
  result: number | "",
  scale: number,
): Cell => {
  const minor = `${HIDDEN[column]}${row}`;
  return {
    at: `${SEEN[column]}${row}`,
    formula: `IF(ISNUMBER(${minor}),${minor}/${scale},"")`,
    result,
    format: "amount",
  };
};

function rowCells(k: number, made: LeaseRow | undefined, { lease, scale }: TableOf): Cell[] {
  const row = START + k;
  const at = (column: keyof typeof HIDDEN, on = row) => `${HIDDEN[column]}${on}`;
  const { atSigning, rows: paidRows, later, residualAt, residual, base, tax, signed } = lease;
  const before = at("balance", row - 1);
  const state = at("state");
  const period = k <= atSigning ? 0 : k - atSigning;
  const unit = (minor: number | undefined) => (minor === undefined ? "" : minor / scale);
  const paid = (formula: string, closing: string) => `IF(${state}=1,${formula},IF(${state}=2,${closing},""))`;
  const rent =
    k <= atSigning
      ? "0"
      : `IF(${period}=${residualAt},${base}-(${before}-${residual}),${lease.rentOf(before)})`;
  const said = (formula: string) => `IF(${state}>0,${formula},"")`;
  return [
    { at: at("row"), value: k },
    {
      at: state,
      formula: `IF(AND(ISNUMBER(${base}),${k}<=${paidRows}),1,IF(AND(ISNUMBER(${base}),${k}=${paidRows}+1,${residualAt}>${later}),2,0))`,
    },
    { at: at("rent"), formula: paid(rent, `${residual}-${before}`) },
    { at: at("depreciation"), formula: paid(`${base}-${at("rent")}`, `-${at("rent")}`) },
    { at: at("balance"), formula: paid(`${before}-${at("depreciation")}`, residual) },
    {
      at: at("flow"),
      formula: `IF(ISNUMBER(${base}),IF(${k}<=${later},${base},0)+IF(${k}=${residualAt},${residual},0),0)`,
    },
    {
      at: `${SEEN.number}${row}`,
      formula: said(`IF(${state}=2,${k - 1},${k})`),
      result: made?.number ?? "",
      format: "count",
    },
    {
      at: `${SEEN.due}${row}`,
      formula:
        signed === ""
          ? '""'
          : said(`IF(${state}=2,${lease.dateOf(residualAt)},${lease.dateOf(String(period))})`),
      result: made?.date == null ? "" : serialOf(made.date),
      format: "date",
    },
    {
      at: `${SEEN.what}${row}`,
      formula: said(`IF(${state}=2,"residual due","${k <= atSigning ? "at signing" : ""}")`),
      result: made ? WHAT[made.kind] : "",
      style: "faint",
    },
    {
      at: `${SEEN.payment}${row}`,
      formula: paid(`(${base}+${tax})/${scale}`, "0"),
      result: unit(made?.payment),
      format: "amount",
    },
    seen(row, "rent", unit(made?.rent), scale),
    seen(row, "depreciation", unit(made?.depreciation), scale),
    {
      at: `${SEEN.tax}${row}`,
      formula: paid(`${tax}/${scale}`, "0"),
      result: unit(made?.tax),
      format: "amount",
    },
    seen(row, "balance", unit(made?.balance), scale),
  ];
}
