import type { LeasePlanFieldName } from "./lease-fields";

declare module "../../../fields/field-name" {
  interface FieldNames {
    lease: LeasePlanFieldName;
  }
}
