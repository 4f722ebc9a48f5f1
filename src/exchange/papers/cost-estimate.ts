import { currencyDecimals, parseAmount } from "@/core";
import { sentenceWriter } from "../kinds/kind/sentence-writer";
import { amountIn } from "../notation";
import type { Paper } from "../paper-parts/paper";
import type { StructureFile } from "../structure/structure.schema";
import { type About, type AnsweredOption, paperOf } from "./about";
import { papersOf } from "./kinds";
import type { Made } from "./made";

/** What else a cost estimate hangs on. */
type CostOf = { use: "personal" | "business" | undefined; structure: StructureFile | undefined };

/**
 * What the credit or the lease costs, as the law of its place has it told to consumers; or why there is no such paper.
 *
 * @param option whose cost it is
 * @param about whose paper it is, and for whom
 */
export function costEstimate(
  { quote }: AnsweredOption,
  about: About,
  { use = "personal", structure = {} }: CostOf,
): Made<{ paper: Paper }> {
  const { notation, house, vehicle, place } = about;
  const { currency } = quote.deal;
  const { standing = {}, consumerLimit, cashFirstAgainstOwed, rebatesInDown } = house.settled;
  const write = sentenceWriter(currency, notation);
  const kind = papersOf(quote);
  if (use === "business")
    return {
      ok: false,
      sentence: "The deal is for business use; a cost estimate is of credit for personal use.",
    };
  const limit =
    consumerLimit === undefined
      ? undefined
      : parseAmount(String(consumerLimit), currencyDecimals(currency) ?? 2);
  if (limit !== undefined && kind.measured(quote) > limit)
    return {
      ok: false,
      sentence: `The amount is above ${write.money(limit)}, above which the house makes no cost estimate (Settings, Papers). A vehicle that is to be the customer’s main dwelling has one whatever its amount.`,
    };
  const made = kind.cost(quote, {
    write,
    amount: minor => amountIn(minor, currency, notation),
    creditor: house.name,
    about: vehicle,
    place,
    standing,
    conventions: { cashFirstAgainstOwed, rebatesInDown },
    optional: (structure.extras ?? []).flatMap(({ name, optional, months }, index) => {
      const price = "reckoned" in quote ? quote.reckoned.extras[index] : quote.extras[index];
      return optional?.voluntary && optional.costDisclosed && optional.askedForInWriting
        ? [[name, voluntaryText(write.money(price ?? 0), months)] as const]
        : [];
    }),
  });
  if (!made.ok) return made;
  return { ok: true, paper: paperOf(made.title, { ...about, vehicle: "" }, made.blocks) };
}

/** What keeps the price of a cover out of the finance charge (12 CFR 1026.4(d)). */
const voluntaryText = (price: string, months: number | undefined) =>
  `Voluntary: it is not needed to get the credit. It costs ${price} for ${months === undefined ? "the term" : `${months} months`}, and was asked for in writing.`;
