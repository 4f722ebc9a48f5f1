import { type LoanPlan, wholeText } from "@/core";
import { priceText, type Reader } from "../../../reading";
import type { PlanPart } from "./part";
import type { PlanFile } from "./plan.schema";

type BalloonFile = NonNullable<PlanFile["balloon"]>;

/** What is left to pay at the end, and whether the vehicle can be given back in place of it. */
export const balloon: PlanPart = {
  read: ({ balloon: asked }, read) => {
    if (!asked) return undefined;
    const returnable = asked.returnable && { returnable: readReturnable(asked.returnable, read) };
    return "percent" in asked
      ? { balloon: { percent: String(asked.percent), ...returnable } }
      : { balloon: { amount: read.amount("balloon", "balloon", asked.amount) ?? 0, ...returnable } };
  },
  words: ({ balloon: asked }, { money }) => {
    if (!asked) return [];
    const { returnable } = asked;
    const distance = returnable?.distance;
    const beyond = distance
      ? `, with ${wholeText(distance.perYear)} ${distance.unit} a year, then ${distance.beyond} each`
      : "";
    return [
      `balloon ${"percent" in asked ? `${asked.percent} % of the price` : money(asked.amount)}`,
      ...(returnable ? [`given back in place of it for ${money(returnable.fee)}${beyond}`] : []),
    ];
  },
};

type Returnable = NonNullable<NonNullable<LoanPlan["balloon"]>["returnable"]>;

function readReturnable({ fee, distance }: NonNullable<BalloonFile["returnable"]>, read: Reader): Returnable {
  return {
    fee: read.amount("balloon", "fee when the vehicle is given back", fee) ?? 0,
    ...(distance && { distance: { ...distance, beyond: priceText(distance.beyond) } }),
  };
}
