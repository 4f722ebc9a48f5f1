import type { AmountLineName } from "../amount-lines";
import type { Rounding } from "../money";

/**
 * Cash down: an amount in minor units; a percent as typed, of the price or of the price with tax, fees and extras; or
 * what is left of a sum due at signing after everything else that is paid that day.
 */
export type CashDown =
  | { amount: number }
  | { percent: string; of?: "price" | "total" }
  | { dueAtSigning: number };

/** What the dealer allows for a trade-in and what is still owed on it, in minor units; a missing allowance is being found. */
export type TradeIn = { name?: string; allowance: number | null; owed: number };

/** What a fee or an extra costs: minor units, or a percent as typed. */
export type ChargeAmount =
  | { minor: number }
  | { percent: string; of: "price" | "loanAmount" | "totalOfPayments" };

/**
 * When a fee or an extra is paid: added to the loan, in cash at signing, kept back from what a personal loan pays out,
 * or together with payments, without interest.
 */
export type ChargePaid =
  | "financed"
  | "atSigning"
  | "keptBack"
  | "withFirstPayment"
  | "withLastPayment"
  | "withEachPayment";

/** A fee, or an extra that is sold with the vehicle. */
export type Charge = {
  name: string;
  amount: ChargeAmount;
  isTaxable: boolean;
  paid: ChargePaid;
  /** Whether it is a cost of the credit, so that it counts in the finance charge and in the APR. */
  isFinanceCharge: boolean;
};

/** What a tax is reckoned on. */
export type TaxedLines = "price" | "fees" | "extras";

/** A tax on lines of the structure. */
export type Tax = {
  name: string;
  /** Percent, as typed. */
  rate: string;
  on: readonly TaxedLines[];
  /** Whether trade-in allowances lower what is taxed: wholly, or up to so many minor units. */
  tradeInCredit: boolean | number;
  /** Whether rebates lower what is taxed, too. */
  rebateCredit: boolean;
  rounding: Rounding;
  /** The most that is taxed, and the most tax, in minor units. */
  capOn?: number;
  cap?: number;
  isFinanced: boolean;
};

/** What the maker or the dealer gives back; before tax it lowers what every tax is reckoned on. */
export type Rebate = { name: string; amount: number; isBeforeTax: boolean };

/** A personal loan: what it is for, and debts to others that are paid off out of it. */
export type Personal = { purpose: string; payoffs: readonly { name: string; amount: number }[] };

/** What the lines that every structure has are called, where not as usual. */
export type LineNames = { [Line in "price" | "down" | AmountLineName]?: string };

/** What leads from the price to the loan amount, in minor units; null is missing, or being found. */
export type Structure = { [Line in AmountLineName]?: number } & {
  /** The price of a vehicle, or the amount asked for of a personal loan. */
  price: number | null;
  /** Whether the taxes are in the price and in what else is taxed. */
  isTaxIncluded?: boolean;
  taxes?: readonly Tax[];
  fees?: readonly Charge[];
  extras?: readonly Charge[];
  rebates?: readonly Rebate[];
  tradeIns: readonly TradeIn[];
  down: CashDown | null;
  personal?: Personal;
  names?: LineNames;
};
