import { currencyDecimals, formatAmount, type LoanQuote } from "@/core";
import type { LoanFile } from "@/exchange/kinds/loan";
import { withEachAmount } from "../../extra-payments/each-extra";

/**
 * A deal that asks for its payment, with the figure that it was looking for given: as found where there is an
 * answer, missing where there is none.
 *
 * @param inputs the deal as it was typed
 * @param quote its answer
 */
export function giveFound(inputs: LoanFile, quote: LoanQuote | null): LoanFile {
  const { from: _from, ...file } = inputs;
  if (!quote) return { ...file, find: "payment" };
  const money = (minor: number) => formatAmount(minor, currencyDecimals(inputs.currency) ?? 2);
  // A price and a number of payments can follow from what something else is found from.
  const structure = { price: money(quote.price), ...file.structure };
  const followed = file.plan.payments === undefined && !file.plan.datedPayments;
  const plan = followed ? { ...file.plan, payments: quote.plannedPayments } : file.plan;
  const given: LoanFile = { ...file, structure, plan, find: "payment" };
  switch (inputs.find) {
    case "down":
      return quote.down === 0
        ? given
        : { ...given, structure: { ...structure, down: { amount: money(quote.down) } } };
    case "downPercent":
      return { ...given, structure: { ...structure, down: { percent: foundPercent(quote) } } };
    case "allowance": {
      const allowance = money(quote.allowance);
      const { tradeIns } = structure;
      if (tradeIns?.length)
        return {
          ...given,
          structure: { ...structure, tradeIns: tradeIns.map(each => ({ allowance, ...each })) },
        };
      return {
        ...given,
        structure: { ...structure, tradeIn: { owed: "0", ...structure.tradeIn, allowance } },
      };
    }
    case "yearlyRate":
      return { ...given, plan: { ...plan, yearlyRate: quote.yearlyRate } };
    case "price":
    case "payment":
    case "payments":
      return given;
    case "balloon":
      return { ...given, plan: { ...plan, balloon: { amount: money(quote.agreedBalloon) } } };
    case "extra":
      return {
        ...given,
        plan: {
          ...plan,
          extra: { ...plan.extra, each: withEachAmount(plan.extra?.each, money(quote.extraEach)) },
        },
      };
    case "lump":
      return { ...given, plan: { ...plan, extra: foundLump(plan.extra, quote, money) } };
  }
}

/** To hundredths of a percent, which is how finely a percent is found. */
function foundPercent({ price, down }: LoanQuote): string {
  return String(price > 0 ? Math.round((down / price) * 10_000) / 100 : 0);
}

/** The extra on a date that has no amount, with the one that was found for it. */
function foundLump(
  extra: LoanFile["plan"]["extra"],
  { filled }: LoanQuote,
  money: (minor: number) => string,
) {
  const dated = extra?.once?.map((each, index) => {
    if (each.amount !== undefined) return each;
    return { ...each, amount: money(filled.plan.extra?.once?.[index]?.amount ?? 0) };
  });
  return { ...extra, ...(dated && { once: dated }) };
}
