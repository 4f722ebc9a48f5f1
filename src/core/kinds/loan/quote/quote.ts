import type { DayNumber } from "../../../calendar";
import type { ChargesWithPayments, DueAtSigning, Reckoned, TallyLine } from "../../../structure";
import type { LoanDeal } from "../deal";
import type { LoanPlan, PaymentRow } from "../plan";

/**
 * The answer to a deal without its repayment table: figures and facts, nothing that computes, so that it can be
 * cloned, sent to a worker or written as JSON whole. Money in minor units, dates as day numbers.
 */
export type LoanSummary = {
  /** What kind of plan was answered; a kind of its own figures has a quote of its own. */
  kind: LoanPlan["kind"];
  /** The deal that was asked, untouched. */
  deal: LoanDeal;
  /** The deal with the figure filled in that it asks for. */
  filled: LoanDeal;
  /** The currency's decimals. */
  decimals: number;
  price: number;
  down: number;
  /** The allowance that was found, else the sum of all. */
  allowance: number;
  /** From the price to the loan amount. */
  lines: readonly TallyLine[];
  /** What fees, extras and taxes come to, and the rest of the structure. */
  reckoned: Reckoned;
  dueAtSigning: DueAtSigning;
  /** What a personal loan pays out to the customer. */
  cashReceived?: number;
  /** Fees and extras that fall with payments, where there are any: all, and those that count in the finance charge. */
  charges?: { all: ChargesWithPayments; inFinanceCharge: ChargesWithPayments };
  /** What the note says: the structure's last line, on which interest is reckoned. */
  loanAmount: number;
  /** The loan amount less what of the finance charge is paid at the start; with the finance charge, the total of payments. */
  amountFinanced: number;
  /** Percent a year, as typed or found. */
  yearlyRate: string;
  /** The nominal percent a year that a flat-rate loan really has. */
  trueYearlyRate?: number;
  /** The first regular payment, without extras: the level one, or what falls from there; 0 where every one is agreed. */
  payment: number;
  /** What the plan is solved for, rounded: the level payment, or the part of the principal in each. */
  solved: number;
  /** Whether the plan asks for the same on every date. */
  isLevel: boolean;
  /** Whether the plan lists its payments. */
  isListed: boolean;
  /** How many payment dates are planned. */
  plannedPayments: number;
  /** How many payment dates there are: fewer than planned where rounding up or extras clear the loan early. */
  payments: number;
  /** On how many of them something is paid. */
  paymentsMade: number;
  finalPayment: number;
  /** What is left to pay at the end, or 0. */
  balloon: number;
  /** What was agreed to be left at the end, before extras take from it; or 0. */
  agreedBalloon: number;
  /** Paid on top of every payment. */
  extraEach: number;
  /** The payments, with what falls with them and counts in the finance charge. */
  totalOfPayments: number;
  totalInterest: number;
  /** What the credit costs: all interest, and every fee that counts in the finance charge. */
  financeCharge: number;
  /** Everything that leaves the customer's pocket. */
  totalCost: number;
  /** When interest starts to count. */
  startDate: DayNumber | null;
  firstDate: DayNumber | null;
  /** The date of the last money. */
  finalDate: DayNumber | null;
  /** An odd first period in whole months and days; null where it is a regular one. */
  oddFirstPeriod: { months: number; days: number } | null;
  /** What the extra payments save, where there are any. */
  saved?: Saved;
  /** A plain sentence where the answer wants explaining. */
  note?: string;
};

/** The answer to a deal with its repayment table. */
export type LoanQuote = LoanSummary & {
  schedule: PaymentRow[];
  /** The yearly rates of its credit, where they were kept with it; percent a year. */
  keptCost?: { apr: number; effectiveRate: number };
};

/** What extra payments save against the same loan without them. */
export type Saved = {
  /** Minor units; less what they are charged with, so that it can be below zero. */
  interest: number;
  /** What they are charged with, where they are. */
  earlyFee?: number;
  /** How many payment dates are not needed. */
  payments: number;
  /** When the loan would have ended, or null without dates. */
  finalDateWithout: DayNumber | null;
};
