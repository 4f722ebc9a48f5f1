import Type from "typebox";
import { HIGHEST_STEP_PERCENT, PLAIN_PART_NAMES, PLAIN_PARTS, type PlainPartName } from "@/core";
import { Amount, Payments, Percent } from "../../../schema";

const UNITS = {
  money: Amount,
  payments: Payments,
  percent: Percent(`a percent from 0 to ${HIGHEST_STEP_PERCENT}, such as "3"`, HIGHEST_STEP_PERCENT),
};

type Unit<Name extends PlainPartName> = (typeof UNITS)[(typeof PLAIN_PARTS)[Name]["unit"]];

/** A part of a plan that is one figure, as a member of its file. */
export const plainMember = <Name extends PlainPartName>(
  name: Name,
): { [Each in Name]: Type.TOptional<Unit<Name>> } =>
  ({ [name]: Type.Optional(UNITS[PLAIN_PARTS[name].unit]) }) as unknown as {
    [Each in Name]: Type.TOptional<Unit<Name>>;
  };

type Others = {
  [Name in Exclude<PlainPartName, "interestOnly" | "prepaidCharge">]: Type.TOptional<Unit<Name>>;
};

/** Those that nothing asks to stand at a place of their own. */
export const OTHER_PLAIN_MEMBERS = Object.assign(
  {},
  ...PLAIN_PART_NAMES.filter(name => name !== "interestOnly" && name !== "prepaidCharge").map(plainMember),
) as Others;
