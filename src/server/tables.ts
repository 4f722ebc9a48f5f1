import { currencyDecimals, isoDate } from "@/core";
import type { Store } from "@/data/store";
import type { TableFile } from "@/exchange/workbook/table.schema";
import type { RegisterAsked, RegisterRow } from "./contract";
import { registerPage } from "./register";

/** So many deals are in one table; whoever has more finds fewer. */
const MOST_DEALS = 2000;

/** The deals that are found, as a table: what the register shows of them. */
export async function registerTable(store: Store, asked: RegisterAsked): Promise<TableFile> {
  const rows: RegisterRow[] = [];
  let pages = 1;
  let locale = "en-US";
  for (let page = 1; page <= pages && rows.length < MOST_DEALS; page++) {
    const found = await registerPage(store, { ...asked, page });
    rows.push(...found.rows);
    pages = found.pages;
    locale = found.locale;
  }
  return {
    name: "Deals",
    day: isoDate(Math.floor(Date.now() / DAY_MS)),
    decimals: 2,
    locale,
    headings: [
      "Customer",
      "Vehicle or purpose",
      "Status",
      "Currency",
      "Payment",
      "Paid",
      "Amount financed",
      "Changed",
    ],
    rows: rows.map(row => {
      const scale = 10 ** (currencyDecimals(row.currency) ?? 2);
      const amount = (minor: number | null) =>
        minor === null ? null : ({ number: minor / scale, as: "amount" } as const);
      return [
        row.customer,
        row.vehicle,
        row.status,
        row.currency,
        amount(row.payment),
        row.paid,
        amount(row.amountFinanced),
        { number: Math.floor(Date.parse(row.changedAt) / DAY_MS), as: "date" as const },
      ];
    }),
  };
}

const DAY_MS = 86_400_000;
