import type { DayNumber } from "../calendar";
import type { Loan, PaymentRow } from "../loan";
import type { Deal } from "./deal";
import type { StructureLine } from "./structure";
import type { Terms } from "./terms";

/** The answer to a deal without its repayment table; money in minor units. */
export type Summary = {
  /** The deal that was asked, untouched. */
  deal: Deal;
  terms: Terms;
  loan: Loan;
  /** The tally from the price to the amount financed. */
  lines: StructureLine[];
  price: number;
  down: number;
  allowance: number;
  amountFinanced: number;
  /** Percent a year, as typed or found. */
  yearlyRate: string;
  /** The nominal percent a year that a flat-rate loan really has. */
  trueYearlyRate?: number;
  /** The rounded level payment: the first one, where payments step. */
  payment: number;
  /** How many payment dates there are: fewer than planned where rounding up or extras clear the loan early. */
  payments: number;
  /** On how many of them something is paid. */
  paymentsMade: number;
  finalPayment: number;
  /** What is left to pay at the end, or 0. */
  balloon: number;
  totalOfPayments: number;
  /** What the credit costs: all interest, and a charge paid at signing. */
  financeCharge: number;
  /** The payments, the cash down, a charge at signing, and what the trade-in was worth beyond what was owed on it. */
  totalCost: number;
  firstDate: DayNumber | null;
  /** The date of the last money. */
  finalDate: DayNumber | null;
  /** What the extra payments save, where there are any. */
  saved?: Saved;
  /** A plain sentence where the answer wants explaining. */
  note?: string;
};

/** The answer to a deal with its repayment table. */
export type Quote = Summary & { schedule: PaymentRow[] };

/** What extra payments save against the same loan without them. */
export type Saved = {
  /** Minor units. */
  interest: number;
  /** How many payment dates are not needed. */
  payments: number;
  /** When the loan would have ended, or null without dates. */
  finalDateWithout: DayNumber | null;
};
