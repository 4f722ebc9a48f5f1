import type { LoanKnownFieldName } from "./loan-known";
import type { PlanFieldName } from "./plan-fields";
import type { PlanLineFieldName } from "./plan-lines";
import type { PlanPartFieldName } from "./plan-part-fields";

declare module "../../../fields/field-name" {
  interface FieldNames {
    loan: PlanFieldName | PlanPartFieldName | PlanLineFieldName | LoanKnownFieldName;
  }
}
