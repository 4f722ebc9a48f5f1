import type { ChargesWithPayments } from "../../../structure";
import type { OnceTax } from "./taxes";

/** What a lease comes to before its table: all in minor units. */
export type Capitalized = {
  price: number;
  fees: readonly number[];
  extras: readonly number[];
  taxes: readonly OnceTax[];
  residual: number;
  /** What trade-ins are worth beyond what is owed on them; below zero where they are worth less. */
  equity: number;
  rebates: number;
  deposit: number;
  /** Below zero where a sum due at signing does not pay for what else is due that day: the rest is capitalized. */
  cash: number;
  gross: number;
  reduction: number;
  /** The adjusted capitalized cost. */
  cost: number;
  /** A payment before tax, and the tax of each; undefined where it would be below zero. */
  base: number | undefined;
  tax: number;
  securityDeposit: number;
  withPayments: ChargesWithPayments;
};
