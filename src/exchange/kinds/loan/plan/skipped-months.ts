import { monthName } from "../../../text";
import { asItStands, type PlanPart } from "./part";

/** Calendar months without a payment. */
export const skippedMonths: PlanPart = {
  read: plan => asItStands(plan, "skippedMonths"),
  words: ({ skippedMonths: months }) => (months ? [`no payment in ${months.map(monthName).join(", ")}`] : []),
};
