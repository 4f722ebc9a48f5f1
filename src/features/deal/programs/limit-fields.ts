import type { LimitName } from "@/core/programs";
import type { FieldName } from "../fields";

/** Where the figure of a limit is typed in a loan, and in a lease. */
const FIELDS: Partial<Record<LimitName, readonly [loan: FieldName, lease: FieldName]>> = {
  term: ["payments", "lease/payments"],
  yearsAtEnd: ["payments", "lease/payments"],
  amount: ["price", "price"],
  loanTo: ["price", "price"],
  costToListPrice: ["price", "price"],
  down: ["down", "down"],
  rate: ["yearlyRate", "lease/moneyFactor"],
  paymentToIncome: ["payments", "lease/payments"],
  debtToIncome: ["payments", "lease/payments"],
  residual: ["payments", "lease/residual"],
};

/** Where the figure of a limit is typed; undefined where it is typed nowhere on the desk. */
export const fieldOfLimit = (limit: LimitName, isLease: boolean): FieldName | undefined =>
  FIELDS[limit]?.[isLease ? 1 : 0];
