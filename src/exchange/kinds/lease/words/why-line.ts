import { groupedAmount, type LeaseQuote } from "@/core";

/**
 * Why a line of a lease's table is other than the usual: what is paid at signing, the last payment, the residual.
 *
 * @param quote a lease's answer
 * @param place the line's place in its table
 * @returns a plain sentence, amounts without their currency; undefined where nothing is to be said
 * @example whyLeaseLine(quote, 0) // "Paid at signing: nothing has been earned yet, so that all of it but tax is lost value."
 */
export function whyLeaseLine(quote: LeaseQuote, place: number): string | undefined {
  const { schedule, residual, decimals } = quote;
  const row = schedule[place];
  const money = (minor: number) => groupedAmount(minor, decimals);
  switch (row?.kind) {
    case "atSigning":
      return "Paid at signing: nothing has been earned yet, so that all of it but tax is lost value.";
    case "closing":
      return `Nothing is paid on this day; the vehicle is handed back, or bought for the residual of ${money(residual)}. The rent of this line takes up the cents.`;
    case "payment":
      return row.balance === residual && place === schedule.length - 1
        ? `The rent of this line takes up the cents, so that exactly the residual of ${money(residual)} is left.`
        : undefined;
    default:
      return undefined;
  }
}
