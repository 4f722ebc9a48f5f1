import { formatAmount, type LeaseQuote } from "@/core";
import type { LeaseFile, LeasePlanFile } from "@/exchange/kinds/lease";
import { factorText, rateText } from "@/exchange/text";
import { withOptional } from "../../members";
import { linesOf, withLines } from "../../structure/lines";

/**
 * A lease that asks for its payment, with the figure that it was looking for given: as found where there is an answer,
 * missing where there is none.
 *
 * @param inputs the lease as it was typed
 * @param quote its answer
 */
export function giveFoundLease(inputs: LeaseFile, quote: LeaseQuote | null): LeaseFile {
  const { from: _from, ...file } = inputs;
  const given: LeaseFile = { ...file, plan: withOptional(file.plan, "payment", undefined), find: "payment" };
  if (!quote) return given;
  const money = (minor: number) => formatAmount(minor, quote.decimals);
  const withStructure = (structure: Partial<LeaseFile["structure"]>): LeaseFile => ({
    ...given,
    structure: { ...given.structure, ...structure },
  });
  const withPlan = (plan: Partial<LeasePlanFile>): LeaseFile => ({
    ...given,
    plan: { ...given.plan, ...plan },
  });
  switch (inputs.find) {
    case "payment":
      return given;
    case "price":
      return withStructure({ price: money(quote.price) });
    case "down":
      return withStructure({ down: { amount: money(quote.down) } });
    case "allowance":
      return { ...given, structure: withAllowance(given.structure, money(quote.allowance)) };
    case "residual":
      return withPlan({ residual: { amount: money(quote.residual) } });
    case "residualPercent": {
      const { residual } = quote.filled.plan;
      return residual && "percent" in residual ? withPlan({ residual }) : given;
    }
    case "moneyFactor":
      return withPlan({ moneyFactor: factorText(quote.moneyFactor) });
    case "yearlyRate":
      return withPlan({ yearlyRate: rateText(quote.yearlyRate) });
    case "payments":
      return withPlan({ payments: quote.payments });
  }
}

function withAllowance(structure: LeaseFile["structure"], allowance: string): LeaseFile["structure"] {
  const tradeIns = linesOf(structure, "tradeIns");
  if (tradeIns.length === 0) return withLines(structure, "tradeIns", [{ allowance, owed: "0" }]);
  return withLines(
    structure,
    "tradeIns",
    tradeIns.map(each => ({ allowance, ...each })),
  );
}
