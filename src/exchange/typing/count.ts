import { plainFigure } from "../notation";
import { numberOfPlain } from "./amount";
import type { TypedAt, Understood } from "./typed";

const CHANGE = /^([+−–-])\s*(\d{1,4})\s*(y|years?|yrs?|m|months?|mos?)?$/i;

/**
 * A number of payments or anything else that is counted, as officers type it: "+12", "-6", "+1y" from what stood
 * there; what "5y" is, the field itself says.
 *
 * @example understoodCount("+1y", { ...at, kind: "payments", base: "60" }).plain // "72"
 */
export function understoodCount(typed: string, { notation, perYear, base }: TypedAt): Understood {
  const plain = plainFigure(typed, notation);
  const [, sign, digits, unit] = CHANGE.exec(typed) ?? [];
  const before = base === undefined ? undefined : numberOfPlain(base);
  if (digits === undefined || before === undefined) return { plain };
  const by = Number(digits) * perUnit(unit, perYear);
  const changed = sign === "+" ? before + by : before - by;
  return { plain: changed > 0 ? String(Number(changed.toFixed(10))) : plain };
}

/** How many of what is counted a unit is. */
function perUnit(unit: string | undefined, perYear: number): number {
  if (unit === undefined) return 1;
  return (/^y/i.test(unit) ? 1 : 1 / 12) * perYear;
}
