import type { Held, Matters } from "@/core/match";
import { amountText } from "../text";

const points = (percent: number): string => percent.toFixed(3);

/** What is said in plain notation, and the rule that it is said by, whose numbers are no figures. */
type SaidByLaw = { says: string; law: string };

/**
 * Whether it matters by the law of the United States, a sentence for each figure that it is asked of.
 *
 * @param matters what was held against each other; null elsewhere
 */
export function mattersWords(matters: Matters | null, currency: string): SaidByLaw[] {
  if (!matters) return [];
  const { apr, financeCharge, isIrregular, isOwnAmount, amountFinanced } = matters;
  const money = (minor: number) => amountText(minor, currency);
  const of = isOwnAmount ? `the ${money(amountFinanced)} financed here` : "their own amount financed";
  const said: SaidByLaw[] = [];
  if (apr)
    said.push({
      says: "why" in apr ? APR_NOT_TOLD[apr.why] : aprWords(apr, of, isIrregular),
      law: "12 CFR 1026.22(a)",
    });
  if (financeCharge)
    said.push({
      says: "why" in financeCharge ? CHARGE_NOT_TOLD : chargeWords(financeCharge, of, money),
      law: "12 CFR 1026.18(d)(2)",
    });
  return said;
}

const APR_NOT_TOLD = {
  paymentsNotKnown:
    "Whether their APR is right cannot be told: their payments are not all known; give the last one or the total, too.",
  noRate:
    "Whether their APR is right cannot be told: no rate makes their payments worth their amount financed.",
};

const CHARGE_NOT_TOLD =
  "Whether their finance charge is right cannot be told: their payments are not all known; give their total, too.";

const side = ({ isWithin }: Held) => (isWithin ? "within" : "beyond");

function aprWords(apr: Held, of: string, isIrregular: boolean): string {
  const most = isIrregular ? "a quarter of a point, as payments are irregular" : "an eighth of a point";
  return `Their APR of ${points(apr.stated)} % is ${points(Math.abs(apr.off))} from the ${points(apr.worked)} % of ${of}, payments and dates: ${side(apr)} ${most}.`;
}

function chargeWords(charge: Held, of: string, money: (minor: number) => string): string {
  if (charge.off === 0)
    return `Their finance charge of ${money(charge.stated)} is their payments less ${of}.`;
  return `Their finance charge of ${money(charge.stated)} is ${money(Math.abs(charge.off))} from the ${money(charge.worked)} of their payments less ${of}: ${side(charge)} ${money(charge.tolerance)}.`;
}
