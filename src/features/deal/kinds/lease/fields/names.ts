import type { LeasePlanFieldName } from "./lease-fields";
import type { LeaseTaxFieldName } from "./lease-taxes";

declare module "../../../fields/field-name" {
  interface FieldNames {
    lease: LeasePlanFieldName | LeaseTaxFieldName;
  }
}
