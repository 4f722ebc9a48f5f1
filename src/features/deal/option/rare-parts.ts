import type { LoanFile } from "@/exchange/kinds/loan";

/** What every plan has. */
const PLAIN_PLAN = new Set(["yearlyRate", "payments", "rounding", "signed", "firstPayment", "payment"]);

/** Whether a plan has parts that a plain one does not have. */
export function hasRareParts(plan: LoanFile["plan"]): boolean {
  const {
    kind,
    frequency,
    compounding = "payments",
    dayCount = "equal",
    timing = "arrears",
    ...others
  } = plan;
  return (
    kind === "flatRate" ||
    frequency === "twiceAMonth" ||
    compounding !== "payments" ||
    dayCount !== "equal" ||
    timing !== "arrears" ||
    !Object.keys(others).every(name => PLAIN_PLAN.has(name))
  );
}
