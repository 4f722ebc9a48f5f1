import type { DealFile } from "../deal-file";
import { PLAN_NAMES, type PlanName, planNameOf } from "../kinds/names";

/** The kinds of plan that deals are told apart by. */
export const REGISTER_KINDS = PLAN_NAMES;

export type RegisterKind = PlanName;

/** What kind of plan an option has. */
export const registerKind = ({ plan }: DealFile): RegisterKind => planNameOf(plan);
