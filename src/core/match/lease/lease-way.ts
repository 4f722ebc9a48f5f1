import type { LeaseDeal } from "../../kinds/lease";
import type { RowRounding } from "../way";

/** A lease by another's conventions; what its plan can have stands in the deal. */
export type LeaseWay = {
  deal: LeaseDeal;
  /** The payment with tax is rounded, in place of the payment and each tax. */
  isTaxOnUnrounded: boolean;
  rows: RowRounding;
};
