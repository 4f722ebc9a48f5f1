import type { DayNumber } from "../../../calendar";
import type { CapitalizedLine } from "../../../structure";
import type { Capitalized } from "./capitalized";
import type { LeaseDeal } from "./lease";
import type { LeaseRow } from "./table";

/** Something that is paid on the day of signing, in minor units. */
export type LeaseDueItem = {
  figure: "down" | "payment" | "securityDeposit" | "acquisitionFee" | "tax" | "fee" | "extra";
  name: string;
  amount: number;
};

/** The answer of a lease. Money in minor units, rates in percent a year. */
export type LeaseQuote = Omit<Capitalized, "base" | "cash"> & {
  kind: "lease";
  deal: LeaseDeal;
  /** With the figure filled in. */
  filled: LeaseDeal;
  decimals: number;
  lines: readonly CapitalizedLine[];
  /** The cash, and the allowance for the first trade-in, or for the one that was found. */
  down: number;
  allowance: number;
  payments: number;
  /** Each before tax, its shown parts, and with tax. */
  basePayment: number;
  parts: { depreciation: number; rent: number };
  payment: number;
  /** What of each payment falls to each tax of the plan. */
  paymentTaxes: readonly number[];
  /** For the whole term (12 CFR 1013.4(f)). */
  depreciation: number;
  rentCharge: number;
  /** Per month, with at most 8 decimals, and the yearly rate that goes with it. */
  moneyFactor: number;
  yearlyRate: number;
  /** Nominal, compounded as payments fall. */
  implicitYearlyRate: number;
  dueAtSigning: { items: readonly LeaseDueItem[]; total: number };
  /** 12 CFR 1013.4(e). */
  totalOfPayments: number;
  totalIfReturned: number;
  totalIfBought: number;
  purchaseTax: number;
  schedule: readonly LeaseRow[];
  startDate: DayNumber | null;
  firstDate: DayNumber | null;
  finalDate: DayNumber | null;
  /** The effective rate, where it was kept with it; percent a year. */
  keptEffectiveRate?: number;
  /** A plain sentence where the answer wants explaining. */
  note: string | undefined;
};
