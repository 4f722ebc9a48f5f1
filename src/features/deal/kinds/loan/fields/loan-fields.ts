import { type Field, ofLoan } from "../../../fields/field";
import { PLAN_FIELDS } from "./plan-fields";

const FIELDS = Object.fromEntries(
  Object.entries(PLAN_FIELDS).map(([name, field]) => [name, ofLoan(field)]),
) as Record<string, Field | undefined>;

/** All about a field of a loan's plan; undefined where it is none. */
export const loanField = (name: string): Field | undefined => FIELDS[name];
