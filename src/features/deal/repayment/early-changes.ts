import { isoDate, type LoanQuote } from "@/core";
import type { Asides } from "@/exchange/deal-document";
import { withEachAmount } from "@/exchange/extra-payments/each-extra";
import type { ExtraFile } from "@/exchange/extra-payments/extra.schema";
import { withOptional } from "@/exchange/members";
import { withAside } from "../desk/with-aside";

/** Money that comes once, as it is typed. */
export type OnceFile = NonNullable<ExtraFile["once"]>[number];

/** Asides with other extra payments tried on an option; an empty one is none. */
export function withEarly(asides: Asides, id: string, early: ExtraFile): Asides {
  return withAside(asides, id, "early", Object.keys(early).length > 0 ? early : undefined);
}

/** Another amount with each payment, or none; from and to which payment stays. */
export const withEach = ({ each, ...early }: ExtraFile, amount: string | undefined): ExtraFile =>
  amount === undefined ? early : { ...early, each: withEachAmount(each, amount) };

/** Other money that comes once, in order; an empty list is none. */
export const withOnce = (early: ExtraFile, once: readonly OnceFile[]): ExtraFile =>
  withOptional(early, "once", once.length > 0 ? [...once] : undefined);

/** The same with one of them changed. */
export const withOnceAt = (early: ExtraFile, index: number, change: Partial<OnceFile>): ExtraFile =>
  withOnce(
    early,
    (early.once ?? []).map((each, place) => (place === index ? { ...each, ...change } : each)),
  );

/** The same with an amount, or none, in place of what comes on a day. */
export function withOnceOn(
  early: ExtraFile,
  { schedule }: Pick<LoanQuote, "schedule">,
  when: { after: number } | { date: string },
  amount: string | undefined,
): ExtraFile {
  const dayOf = ({ after, date }: OnceFile) => {
    const due = schedule.find(({ number, kind }) => number === after && kind !== "extra")?.date;
    return date ?? (due == null ? `payment ${after}` : isoDate(due));
  };
  const others = (early.once ?? []).filter(each => dayOf(each) !== dayOf(when));
  return withOnce(early, amount === undefined ? others : [...others, { ...when, amount }]);
}
