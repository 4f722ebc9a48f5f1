import type { LineFieldName, NameOfLineField } from "./line-fields";
import type { StructureFieldName } from "./structure-fields";

/** The names of fields, by whose they are: each kind of deal adds its own to this interface, from its own folder. */
export interface FieldNames {
  structure: StructureFieldName;
  lines: LineFieldName;
  namesOfLines: NameOfLineField;
}

export type FieldName = FieldNames[keyof FieldNames];
