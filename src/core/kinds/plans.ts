/** The kinds of plan, each with the kind of deal that has it: apart from the kinds, for what only tells them apart. */
const KIND_OF_PLAN = {
  loan: "loan",
  equalPrincipal: "loan",
  flatRate: "loan",
  lease: "lease",
} as const;

export type PlanKind = keyof typeof KIND_OF_PLAN;
export type KindName = (typeof KIND_OF_PLAN)[PlanKind];

/**
 * The name of a deal's kind, or of what has the plan of one.
 *
 * @example kindNameOf(vanLease) // "lease"
 */
export const kindNameOf = ({ plan }: { plan: { kind: PlanKind } }): KindName => KIND_OF_PLAN[plan.kind];
