import type { DayNumber } from "../calendar";
import type { PaymentRow } from "../loan";
import type { Deal } from "./deal";
import type { StructureLine } from "./structure";
import type { Terms } from "./terms";

/** The answer to a deal; money in minor units. */
export type Quote = {
  /** The deal that was asked, untouched. */
  deal: Deal;
  terms: Terms;
  /** The tally from the price to the amount financed. */
  lines: StructureLine[];
  price: number;
  down: number;
  amountFinanced: number;
  /** The rounded level payment. */
  payment: number;
  /** How many payments there are: fewer than planned where rounding up clears the loan early. */
  payments: number;
  finalPayment: number;
  totalOfPayments: number;
  /** What the credit costs: all interest. */
  financeCharge: number;
  /** The payments, the cash down and what the trade-in was worth beyond what was owed on it. */
  totalCost: number;
  firstDate: DayNumber | null;
  finalDate: DayNumber | null;
  schedule: PaymentRow[];
  /** A plain sentence where the answer wants explaining. */
  note?: string;
};
