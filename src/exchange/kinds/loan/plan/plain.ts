import { PLAIN_PART_NAMES, type PlainPartName, plainPartOf } from "@/core";
import type { PlanPart } from "./part";

/** A part of a plan that is one figure. */
function plainPart(name: PlainPartName): PlanPart {
  const { unit, part, named = part, words } = plainPartOf(name);
  return {
    read(plan, read) {
      const typed = plan[name];
      if (typed === undefined) return undefined;
      if (unit === "money") return { [name]: read.amount(name, named, typed) ?? 0 };
      return { [name]: unit === "percent" ? String(typed) : typed };
    },
    words(plan, { money }) {
      const typed = plan[name];
      if (typed === undefined) return [];
      return [words(unit === "money" ? money(typed) : String(typed))];
    },
  };
}

/** Every part of a plan that is one figure. */
export const PLAIN_PLAN_PARTS = Object.fromEntries(
  PLAIN_PART_NAMES.map(name => [name, plainPart(name)]),
) as Record<PlainPartName, PlanPart>;
