import type { LoanQuote, PaymentRow } from "@/core";
import { chargeColumn } from "@/core";
import { type Cell, placeIn, type Sheet, serialOf } from "../../workbook-parts/workbook";
import type { PlanCells } from "./plan-rows";

/** A table has room for so many payments, or for as many as the deal has. */
const FEWEST_ROWS = 480;
/** The row of what stands before the first payment. */
export const START = 4;

/** What stands in which column: what is seen, then what formulas need. */
const SEEN = {
  number: "A",
  due: "B",
  what: "C",
  payment: "D",
  interest: "E",
  principal: "F",
  balance: "G",
  charge: "H",
};
const HIDDEN = {
  /** The number of the row, from 1. */
  row: "J",
  /** 1 where a payment is made, 2 where the balloon is, else 0. */
  state: "K",
  rate: "L",
  /** What 1 of that day is worth at the start. */
  worth: "M",
  /** The least that has to be owed after it, so that interest alone leads to the balloon. */
  least: "N",
  interest: "O",
  payment: "P",
  balance: "Q",
  charge: "R",
  /** What is paid and counts for the credit's yearly rate. */
  flow: "S",
};

const LONGER = "The table is longer than it was made: set what is printed of it anew before you print.";

/** How many rows a table has room for. */
export const roomOf = ({ plannedPayments }: LoanQuote): number => Math.max(FEWEST_ROWS, plannedPayments + 1);

/** Where a column of the table stands, all rows of it, from the one of the start where that is said. */
export const columnOf = (
  sheet: string,
  column: keyof typeof HIDDEN | "due" | "number",
  room: number,
  from = START + 1,
): string => {
  const letter = column === "due" || column === "number" ? SEEN[column] : HIDDEN[column];
  return `${placeIn(sheet, `${letter}${from}`)}:${placeIn(sheet, `${letter}${START + room}`).split("!")[1]}`;
};

const WHAT: Partial<Record<PaymentRow["kind"], string>> = {
  interestOnly: "interest only",
  balloon: "balloon",
  extra: "extra",
  noPayment: "no payment",
};

type TableOf = { quote: LoanQuote; name: string; plan: PlanCells; scale: number; unchanged: string };

/** The repayment table: as long as the number of payments says, each row by formulas in whole minor units. */
export function tableSheet(of: TableOf): Sheet {
  const { quote, name, scale } = of;
  const room = roomOf(quote);
  const hasCharges = quote.charges !== undefined;
  const unit = (minor: number) => minor / scale;
  const made = quote.schedule.length;
  const longer = `COUNTIF(${columnOf(name, "state", room)},">0")>${made}`;
  const cells: Cell[] = [
    { at: "A1", value: "Repayment", style: "title" },
    { at: "A2", formula: `IF(${longer},"${LONGER}",${of.plan.note})`, result: "", style: "faint" },
  ];
  const headings = [
    "No.",
    "Due",
    "",
    "Payment",
    "Interest",
    "Principal",
    "Balance",
    ...(hasCharges ? ["Charges"] : []),
  ];
  headings.forEach((value, index) => {
    cells.push({
      at: `${String.fromCharCode(65 + index)}3`,
      value,
      style: "heading",
      ...(index !== 2 && { format: "amount" }),
    });
  });
  cells.push(
    { at: `${SEEN.what}${START}`, value: "start", style: "faint" },
    {
      at: `${SEEN.due}${START}`,
      formula: of.plan.start,
      result: quote.startDate === null ? "" : serialOf(quote.startDate),
      format: "date",
    },
    { at: `${HIDDEN.row}${START}`, value: 0 },
    { at: `${HIDDEN.worth}${START}`, value: 1 },
    { at: `${HIDDEN.balance}${START}`, formula: of.plan.loanAmount },
    {
      at: `${HIDDEN.flow}${START}`,
      formula: `${of.plan.isInAdvance && !of.plan.isKept ? `${flowOf(0, of)}` : "0"}-N(${of.plan.financed})`,
    },
    ...shown(START, "balance", unit(quote.loanAmount), scale),
  );
  const charges = quote.charges ? chargeColumn(quote.schedule, quote.charges.all) : undefined;
  for (let k = 1; k <= room; k++) {
    cells.push(...rowCells(k, quote.schedule[k - 1], charges?.[k - 1], of));
  }
  return {
    name,
    columns: [
      ...[7, 15, 14, 15, 15, 15, 16].map(width => ({ width })),
      { width: 12, isHidden: !hasCharges },
      { width: 2 },
      ...Object.keys(HIDDEN).map(() => ({ width: 12, isHidden: true })),
    ],
    cells,
    headRows: 3,
    lastColumn: hasCharges ? "H" : "G",
    rows: START + made,
  };
}

/** An amount in whole units beside the minor ones that it is made of. */
function shown(
  row: number,
  column: "payment" | "interest" | "balance" | "charge",
  result: number | "",
  scale: number,
): Cell[] {
  const minor = `${HIDDEN[column]}${row}`;
  return [
    {
      at: `${SEEN[column]}${row}`,
      formula: `IF(ISNUMBER(${minor}),${minor}/${scale},"")`,
      result,
      format: "amount",
    },
  ];
}

function rowCells(k: number, made: PaymentRow | undefined, charge: number | undefined, of: TableOf): Cell[] {
  const { quote, scale, plan } = of;
  const row = START + k;
  const at: At = (column, on = row) => `${HIDDEN[column]}${on}`;
  const unit = (minor: number | undefined) => (minor === undefined ? "" : minor / scale);
  const formulas = plan.isKept ? keptFormulas(made, charge, of) : liveFormulas(k, of);
  const said = plan.isKept ? saidOfKept(made) : saidOfLive(k, at, plan);
  return [
    { at: at("row"), value: k },
    ...(Object.entries(formulas) as [keyof typeof HIDDEN, string][]).map(([column, formula]) => ({
      at: at(column),
      formula,
    })),
    {
      at: `${SEEN.number}${row}`,
      formula: `IF(${at("state")}>0,${said.number},"")`,
      result: made?.number ?? "",
      format: "count",
    },
    {
      at: `${SEEN.due}${row}`,
      formula: `IF(${at("state")}>0,${said.due},"")`,
      result: made?.date == null ? "" : serialOf(made.date),
      format: "date",
    },
    {
      at: `${SEEN.what}${row}`,
      formula: `IF(${at("state")}>0,${said.what},"")`,
      result: made ? (WHAT[made.kind] ?? "") : "",
      style: "faint",
    },
    ...shown(row, "payment", unit(made?.payment), scale),
    ...shown(row, "interest", unit(made?.interest), scale),
    {
      at: `${SEEN.principal}${row}`,
      formula: `IF(ISNUMBER(${at("payment")}),(${at("payment")}-${at("interest")})/${scale},"")`,
      result: unit(made?.principal),
      format: "amount",
    },
    ...shown(row, "balance", unit(made?.balance), scale),
    ...(quote.charges ? shown(row, "charge", made ? unit(charge ?? 0) : "", scale) : []),
  ];
}

/** What is said of a row that is there: its number, its day, and what it is where it is no plain payment. */
type Said = { number: string; due: string; what: string };

const saidOfKept = (made: PaymentRow | undefined): Said => ({
  number: String(made?.number ?? 0),
  due: keptDate(made),
  what: `"${made ? (WHAT[made.kind] ?? "") : ""}"`,
});

function saidOfLive(k: number, at: At, plan: PlanCells): Said {
  const isBalloon = `${at("state")}=2`;
  // In arrears it falls on the day of the last payment.
  const number = `IF(${isBalloon},${plan.isInAdvance ? k : k - 1},${k})`;
  return {
    number,
    due: plan.dateOf(number),
    what: `IF(${isBalloon},"balloon",IF(${k}<=${plan.interestOnly},"interest only",""))`,
  };
}

const keptDate = (made: PaymentRow | undefined) => (made?.date == null ? '""' : String(serialOf(made.date)));

/** A row whose payment is as it was made, and gone once an input is another one. */
function keptFormulas(made: PaymentRow | undefined, charge: number | undefined, { unchanged }: TableOf) {
  const as = (value: number | undefined) => (value === undefined ? '""' : `IF(${unchanged},${value},"")`);
  return {
    state: made ? `IF(${unchanged},${made.kind === "balloon" ? 2 : 1},0)` : "0",
    interest: as(made?.interest),
    payment: as(made?.payment),
    balance: as(made?.balance),
    charge: as(made ? (charge ?? 0) : undefined),
    flow: made ? `IF(${unchanged},${made.payment},0)` : "0",
  };
}

/** A row by formulas: as the core repays it, in whole minor units. */
function liveFormulas(k: number, of: TableOf) {
  const { plan, quote } = of;
  const at: At = (column, on = START + k) => `${HIDDEN[column]}${on}`;
  const formulas = plan.isFlat ? flatFormulas(k, at, plan) : levelFormulas(k, at, plan);
  const isPaid = `AND(${at("state")}=1,${at("payment")}>0)`;
  return {
    ...formulas,
    ...(quote.charges && {
      charge: `IF(${isPaid},${plan.chargeOf(k, at)},IF(${at("state")}>0,0,""))`,
    }),
    flow: flowOf(k, of),
  };
}

function flatFormulas(k: number, at: At, plan: PlanCells) {
  const before = at("balance", START + k - 1);
  const left = plan.leftBefore(k, at);
  const isPaid = `${at("state")}=1`;
  return {
    state: `IF(AND(ISNUMBER(${before}),${k}<=${plan.count},${left}>0),1,0)`,
    interest: `IF(${isPaid},${plan.flatInterest(k, at)},"")`,
    payment: `IF(${isPaid},IF(${k}=${plan.count},${left},MIN(${plan.solved},${left})),"")`,
    balance: `IF(${isPaid},${before}+${at("interest")}-${at("payment")},"")`,
  };
}

/** Every other loan: the last payment takes what is owed down to what the balloon leaves, and no other takes more. */
function levelFormulas(k: number, at: At, plan: PlanCells) {
  const row = START + k;
  const { count, floor, balloon } = plan;
  const before = at("balance", row - 1);
  const isPaid = `${at("state")}=1`;
  const isBalloon = `${at("state")}=2`;
  const isThere = `AND(ISNUMBER(${before}),${k}<=${count},OR(${floor}>0,N(${before})>0))`;
  const follows = k === 1 ? "FALSE" : `AND(${at("state", row - 1)}=1,${k}=${count}+1,${balloon}>0)`;
  const owed = `(${before}+${at("interest")})`;
  const most = plan.hasBalloon ? `${owed}-N(${at("least")})` : owed;
  const least = plan.leastOf(at("least", row + 1), at("rate", row + 1), String(k + 1));
  return {
    state: `IF(${isThere},1,IF(${follows},2,0))`,
    rate: `IF(${k}<=${count},${plan.rateOf(k)},"")`,
    worth: `IF(${k}<=${count},${at("worth", row - 1)}/(1+${at("rate")}),"")`,
    ...(plan.hasBalloon && {
      least: `IF(${k}<${count},${least},IF(${k}=${count},${floor},""))`,
    }),
    interest: `IF(${isPaid},${plan.interestOf(k, before)},IF(${isBalloon},${balloon}-${before},""))`,
    payment: `IF(${isPaid},IF(${k}=${count},${owed}-${floor},MIN(${plan.askedOf(k, at("interest"))},${most})),IF(${isBalloon},${balloon},""))`,
    balance: `IF(${isBalloon},0,IF(${isPaid},${before}+${at("interest")}-${at("payment")},""))`,
  };
}

/** What is paid a period after the row before: with the balloon that falls on its day; in advance what the next row pays. */
function flowOf(k: number, { plan, quote }: TableOf): string {
  const at: At = (column, on = START + k) => `${HIDDEN[column]}${on}`;
  const paid = (number: number) => {
    const row = START + number;
    const charge = quote.charges ? `+IF(${at("payment", row)}>0,${plan.chargeInFlow(number, at)},0)` : "";
    return `IF(${at("state", row)}=1,N(${at("payment", row)})${charge},0)`;
  };
  const next = START + k + 1;
  const balloon = `IF(${at("state", next)}=2,N(${at("payment", next)}),0)`;
  return plan.isInAdvance ? `${paid(k + 1)}+${balloon}` : `${paid(k)}+${balloon}`;
}

/** What formulas of a plan need of a row: where one of its columns stands. */
export type At = (column: keyof typeof HIDDEN, on?: number) => string;
