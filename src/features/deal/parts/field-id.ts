import type { FieldName } from "../fields";

/** The element id of a field, for labels and for going there from the sentence. */
export const fieldId = (field: FieldName): string => `field-${field.replaceAll("/", "-")}`;
