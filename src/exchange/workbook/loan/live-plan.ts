import type { LoanQuote } from "@/core";

/**
 * Why a plan's payments go into a workbook as values; nothing where formulas make them.
 *
 * @example whyKept(campervan) // []
 */
export function whyKept(quote: LoanQuote): string[] {
  const { filled, isListed, balloon, oddFirstPeriod } = quote;
  const { plan } = filled;
  const { extra = {}, dayCount = "equal", timing } = plan;
  const isFlat = quote.kind === "flatRate";
  const isPrincipal = quote.kind === "equalPrincipal";
  const each = extra.each;
  const reasons: [boolean, string][] = [
    [isListed, "listed payments"],
    [(plan.steps ?? []).length > 0, "payments that change"],
    [(plan.skippedMonths ?? []).length > 0, "skipped months"],
    [plan.deferred !== undefined, "a deferral"],
    [extra.yearly !== undefined || (extra.once ?? []).length > 0, "extra payments once or once a year"],
    [each?.from !== undefined || each?.to !== undefined, "extra payments with some payments"],
    [each !== undefined && balloon + quote.agreedBalloon > 0, "extra payments beside a balloon"],
    [each !== undefined && isFlat, "extra payments of a flat rate"],
    [dayCount !== "equal", "counting days"],
    [isFlat && (oddFirstPeriod !== null || timing === "advance"), "a flat rate with an odd first period"],
    [
      isPrincipal && timing === "advance" && quote.agreedBalloon > 0,
      "equal principal in advance with a balloon",
    ],
  ];
  return reasons.flatMap(([is, reason]) => (is ? [reason] : []));
}
