import { type DayNumber, type Frequency, isoDate, periodsPerYear } from "@/core";
import type { LoanFile } from "@/exchange/kinds/loan";

type PlanFile = LoanFile["plan"];

/** What kind of plan it is on the screen; a list of payments is one, whatever its file says. */
export type Kind = PlanFile["kind"] | "listed";

/**
 * Kinds in the order in which arrow keys pass them: a list of payments, which has no term, comes last. A vehicle can be
 * leased, too.
 */
export const KINDS_OF_A_VEHICLE: readonly (readonly [Kind | "lease", string])[] = [
  ["loan", "level payments"],
  ["equalPrincipal", "equal principal"],
  ["flatRate", "flat rate"],
  ["lease", "lease"],
  ["listed", "listed payments"],
];

export const KINDS = KINDS_OF_A_VEHICLE.filter(([kind]) => kind !== "lease") as readonly (readonly [
  Kind,
  string,
])[];

/** Where the kind of a plan is chosen. */
export const KIND_ID = "plan-kind";

export function kindOf({ kind, datedPayments }: PlanFile): Kind {
  return datedPayments ? "listed" : kind;
}

/**
 * The plan as one of another kind. Every figure stays that a plan of that kind has; what it cannot have besides is said
 * with its answer, and taken out by the officer.
 *
 * @param firstDate where a list of payments begins
 */
export function asKind(plan: PlanFile, kind: Kind, firstDate: DayNumber | null): PlanFile {
  if (kind === kindOf(plan)) return plan;
  const { datedPayments, payments, firstPayment, ...rest } = plan;
  if (kind === "listed") {
    // One payment that is found, to add others before.
    const first = { date: isoDate(firstDate ?? 0) };
    return { ...rest, kind: "loan", datedPayments: datedPayments ?? [first] };
  }
  const count = payments ?? datedPayments?.length;
  return {
    ...rest,
    kind,
    ...(count !== undefined && { payments: count }),
    ...(firstPayment !== undefined && { firstPayment }),
  };
}

/** The plan paid at another frequency over the same years, where they are a whole number of payments. */
export function withFrequency<
  Plan extends {
    payments?: number | undefined;
    frequency: Frequency;
    twiceMonthlyDays?: number[] | undefined;
  },
>(plan: Plan, frequency: Frequency): Plan {
  const { twiceMonthlyDays, ...rest } = plan;
  const days = frequency === "twiceAMonth" && twiceMonthlyDays ? { twiceMonthlyDays } : {};
  const { payments } = plan;
  const same =
    payments === undefined
      ? undefined
      : (payments * periodsPerYear(frequency)) / periodsPerYear(plan.frequency);
  const count = same !== undefined && Number.isInteger(same) && same >= 1 ? same : payments;
  return { ...rest, ...days, frequency, ...(count !== undefined && { payments: count }) } as Plan;
}
