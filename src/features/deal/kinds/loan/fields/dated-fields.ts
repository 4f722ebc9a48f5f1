import { readContractDate, readFirstDate } from "../../../fields/date-text";
import { type Field, ofItsKind } from "../../../fields/field";
import { remembered } from "../../../fields/remembered";
import { datesOfPlan } from "./plan-fields";

const DATES = datesOfPlan({ contract: readContractDate, first: readFirstDate });

/** The fields of a plan's dates as they are typed in: "+3m", "Nov 2029"; undefined for any other. */
export const datedField = remembered((name): Field | undefined =>
  name in DATES ? ofItsKind(DATES[name as keyof typeof DATES]) : undefined,
);
