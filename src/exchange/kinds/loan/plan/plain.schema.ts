import Type from "typebox";
import { HIGHEST_STEP_PERCENT, PLAIN_PART_NAMES, PLAIN_PARTS, type PlainPartName } from "@/core";
import { Amount, Payments, Percent, seen } from "../../../schema";

const UNITS = {
  money: Amount,
  payments: Payments,
  percent: Percent(`a percent from 0 to ${HIGHEST_STEP_PERCENT}, such as "3"`, HIGHEST_STEP_PERCENT),
};

type PlainMembers = {
  [Name in PlainPartName]: Type.TOptional<(typeof UNITS)[(typeof PLAIN_PARTS)[Name]["unit"]]>;
};

/** The parts of a plan that are one figure, as members of its file. */
export const PLAIN_MEMBERS = Object.fromEntries(
  PLAIN_PART_NAMES.map(name => [name, seen(Type.Optional(UNITS[PLAIN_PARTS[name].unit]))]),
) as unknown as PlainMembers;
