import { evaluate } from "../deal";
import type { Quote } from "../kinds";
import { askingPayment } from "../kinds/kind";
import { failure, type Result, success } from "../result";

/** An extra with what it changes, in minor units. */
export type ExtraAlone = {
  name: string;
  /** What it costs; one that falls with each payment, each time. */
  price: number;
  /** What is paid each time without it, the other extras as they stand; null where there is no answer. */
  without: number | null;
};

/** The extras of a deal one by one, in minor units. */
export type ExtrasOneByOne = {
  each: readonly ExtraAlone[];
  /** What is paid each time with all of them, and with none; null where there is no answer. */
  withAll: number;
  withNone: number | null;
};

/**
 * What each extra of a deal does to its payment: the deal is answered anew without it, and so all that is reckoned from the
 * loan or from the payments is. A deal that asked for another figure keeps the one that was found.
 *
 * @param quote an answered deal with extras
 * @returns what is paid each time, with what falls with each payment; or a failure where no payment follows from the amount
 * @example extrasOneByOne(campervan).value.withAll // 64574
 */
export function extrasOneByOne(quote: Quote): Result<ExtrasOneByOne> {
  const extras = quote.filled.structure.extras ?? [];
  if (paidWith(quote, () => true) === null)
    return failure(
      "payment",
      "The payments of this plan are agreed; no extra changes them, and what one changes is their number or the last of them.",
    );
  const amounts = "reckoned" in quote ? quote.reckoned.extras : quote.extras;
  return success({
    each: extras.map(({ name }, index) => ({
      name,
      price: amounts[index] ?? 0,
      without: paidWith(quote, each => each !== index),
    })),
    // As it was answered, or signed.
    withAll: paidEachTime(quote),
    withNone: paidWith(quote, () => false),
  });
}

/** What is paid each time with some of the extras, in minor units; null where there is no answer, or no such payment. */
function paidWith({ filled }: Quote, isTaken: (index: number) => boolean): number | null {
  const { extras = [], ...structure } = filled.structure;
  const deal = askingPayment({
    ...filled,
    structure: { ...structure, extras: extras.filter((_, index) => isTaken(index)) },
  } as Quote["filled"]);
  const answer = evaluate(deal);
  return answer.ok && answer.value.payment !== 0 ? paidEachTime(answer.value) : null;
}

/** A payment with what falls with each, in minor units. */
const paidEachTime = (quote: Quote): number =>
  quote.payment + ("withPayments" in quote ? quote.withPayments.each : (quote.charges?.all.each ?? 0));
