import type { DayNumber, Frequency } from "../../../calendar";
import type { Rounding } from "../../../money";
import type { Structure, Tax } from "../../../structure";
import type { Distance } from "../../kind";

/** What has to stand wherever a percent of a lease is shown to a customer: 12 CFR 1013.4(s). */
export const LEASE_RATE_NOTICE = "This percentage may not measure the overall cost of financing this lease.";

/** The figures that a lease can ask for. */
export const LEASE_FOUND_FIGURES = [
  "payment",
  "price",
  "down",
  "allowance",
  "residual",
  "residualPercent",
  "moneyFactor",
  "yearlyRate",
  "payments",
] as const;

/** The figure that a lease asks for; all others are given. */
export type LeaseFoundFigure = (typeof LEASE_FOUND_FIGURES)[number];

/** A figure of the result that something can be found from. */
export const LEASE_KNOWN = [
  "payment",
  "basePayment",
  "dueAtSigning",
  "totalIfReturned",
  "totalIfBought",
] as const;

export type LeaseKnown = (typeof LEASE_KNOWN)[number];

/** What a vehicle is held to be worth at the end: minor units, or a percent as typed. */
export type Residual = { amount: number } | { percent: string; of: "listPrice" | "price" };

/** When the residual falls due: with the last payment made, one period after it, or when the term ends. */
export type ResidualDue = "lastPayment" | "onePeriodAfter" | "end";

/** What a lease's tax is reckoned on. */
export type LeaseTaxed = "payment" | "sumOfPayments" | "price" | "reduction" | "fees" | "extras" | "purchase";

/** A tax of a lease; what is reckoned once of it is capitalized where it is financed. */
export type LeaseTax = Omit<Tax, "on"> & { on: readonly LeaseTaxed[] };

/** Held against what the customer may come to owe, and given back: an amount, or the payment rounded up to a step. */
export type SecurityDeposit = { amount: number } | { roundedUpTo: number };

/** How a vehicle is leased. Amounts in minor units; null is missing, or being found. */
export type LeasePlan = {
  kind: "lease";
  reckoning: "moneyFactor" | "levelYield";
  /** Per month, as typed, for reckoning by money factor. */
  moneyFactor: string | null;
  /** Nominal percent a year, compounded as payments fall, as typed, for reckoning by level yield. */
  yearlyRate: string | null;
  payments: number | null;
  frequency: Frequency;
  rounding: Rounding;
  roundingStep?: number;
  signed: DayNumber | null;
  /** The payment with tax, given, which another figure is found from. */
  payment: number | null;
  /** How many payments fall at signing; those beyond the first cover the last ones. */
  inAdvance: number;
  residual: Residual | null;
  residualDue: ResidualDue;
  acquisitionFee?: { amount: number; isFinanced: boolean; isTaxable: boolean };
  securityDeposit?: SecurityDeposit;
  taxes: readonly LeaseTax[];
  distance?: Distance;
  earlyFee: number;
  /** Whose it is what the vehicle brings beyond what is owed where the lease ends early; the lessor's where left out. */
  surplus?: "lessor" | "customer";
  dispositionFee: number;
  purchaseFee: number;
};

/** A lease as it was given. */
export type LeaseDeal = {
  /** ISO 4217 code. */
  currency: string;
  /** The price is the agreed one; taxes of the structure are those of a loan, and not used. */
  structure: Structure;
  /** Minor units; null where there is none. */
  listPrice: number | null;
  plan: LeasePlan;
  find: LeaseFoundFigure;
  /** What to find it from; the plan's payment where left out. */
  from?: { figure: LeaseKnown; value: number };
};
