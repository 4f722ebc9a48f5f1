import type { Field } from "./field";
import type { FieldName } from "./field-name";
import { STRUCTURE_FIELDS, type StructureFieldName } from "./structure-fields";

export {
  asPersonal,
  asVehicle,
  type ChargeBy,
  chargeBy,
  type LineOf,
  type ListName,
  linesOf,
  paidMembers,
  withLine,
  withNewLine,
  withoutLine,
} from "@/exchange/structure/lines";
export type { DeskFind, Field, FieldView, LeaseView, LoanFind, LoanView, Reading } from "./field";
export type { FieldName, FieldNames } from "./field-name";
export { NAMES_OF_FOUND, workedFor } from "./found-figures";
export type { LineFieldName } from "./line-fields";
export { type DownKind, downKind, isPercentDown, nameOfAmountLine } from "./structure-fields";

/** The fields of the structure that every deal has, in the order of its lines. */
export const STRUCTURE_FIELD_NAMES = Object.keys(STRUCTURE_FIELDS) as StructureFieldName[];

/** All about a field of the structure; undefined where it is none. */
export const structureField = (name: FieldName): Field | undefined =>
  name in STRUCTURE_FIELDS ? STRUCTURE_FIELDS[name as StructureFieldName] : undefined;
