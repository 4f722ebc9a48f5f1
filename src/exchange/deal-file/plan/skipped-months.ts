import { monthName } from "../../text";
import { asTheyStand, type PlanPart } from "./part";

/** Calendar months without a payment. */
export const skippedMonths: PlanPart = {
  read: plan => asTheyStand(plan, "skippedMonths"),
  words: ({ skippedMonths: months }) => (months ? [`no payment in ${months.map(monthName).join(", ")}`] : []),
};
