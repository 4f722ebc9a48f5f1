import { AMOUNT_LINE_NAMES, FEWEST_IN_STREAM, isPlain } from "@/core";
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

/** What every structure has. */
const PLAIN_STRUCTURE = new Set<string>([
  "price",
  "tradeIn",
  "down",
  "purpose",
  "names",
  ...AMOUNT_LINE_NAMES,
]);

/** Whether a loan neither has nor looks for what not every loan needs. */
export function isPlainLoan({ structure, plan, ...file }: LoanFile): boolean {
  return (
    isPlain(file) &&
    plan.kind === "loan" &&
    !hasRareParts(plan) &&
    (plan.payments ?? FEWEST_IN_STREAM) >= FEWEST_IN_STREAM &&
    Object.keys(structure).every(name => PLAIN_STRUCTURE.has(name))
  );
}
