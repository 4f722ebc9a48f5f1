import { formatAmount, type LeaseQuote, type LoanQuote } from "@/core";
import type { LeaseFile } from "@/exchange/kinds/lease";
import type { LoanFile } from "@/exchange/kinds/loan";
import { withOptional } from "./field";
import { definedOnly } from "./structure-lines";

/** What of a deal hangs on its kind, kept while it is of the other one. */
export type Kept<File extends LoanFile | LeaseFile> = Pick<File, "plan" | "find" | "from" | "ask">;

/** What is kept of a deal while it is of the other kind. */
const keptOf = <File extends LoanFile | LeaseFile>({ plan, find, from, ask }: File): Kept<File> => ({
  plan,
  find,
  ...(from && { from }),
  ...(ask && { ask }),
});

/** The figure of the structure that a find leaves open. */
export function openFigure(
  find: LoanFile["find"] | LeaseFile["find"],
): "price" | "down" | "allowance" | undefined {
  if (find === "downPercent") return "down";
  return find === "price" || find === "down" || find === "allowance" ? find : undefined;
}

/**
 * What a deal comes to as one of the other kind: its own way from before where it has one, unless the structure has
 * given since what it was looking for.
 */
export function comingBack<File extends LoanFile | LeaseFile>(
  now: LoanFile["find"] | LeaseFile["find"],
  kept: Kept<File>,
): Kept<File> {
  const open = openFigure(kept.find);
  if (open === undefined || open === openFigure(now)) return kept;
  const { from: _from, ...rest } = kept;
  const plan = withOptional(kept.plan as { payment?: string }, "payment", undefined);
  return { ...rest, plan, find: "payment" } as Kept<File>;
}

/**
 * A deal as one of the other kind, over a structure that has every figure but the one that it looks for.
 *
 * @param given the deal with what it was looking for
 * @param kept what it is as one of the other kind
 */
export function turned<From extends LoanFile | LeaseFile, To extends LoanFile | LeaseFile>(
  file: From,
  given: From,
  kept: Kept<To>,
) {
  const isOpenInBoth = openFigure(kept.find) === openFigure(file.find);
  const { structure } = isOpenInBoth ? file : given;
  return { ...sharedBy(file), structure, ...kept, kept: keptOf(file) };
}

/** What does not hang on the kind of a deal. */
function sharedBy({ format, version, currency, locale }: LoanFile | LeaseFile) {
  return { format, version, currency, ...(locale && { locale }) };
}

/** Only what was typed: members that are undefined are left out. */
export function typedOnly<Plan extends object>(
  plan: { [Member in keyof Plan]: Plan[Member] | undefined },
): Plan {
  return definedOnly(plan) as Plan;
}

/** The payment that is shown, as it would be typed. */
export function paymentOf(quote: LoanQuote | LeaseQuote | null): string | undefined {
  return quote ? formatAmount(quote.payment, quote.decimals) : undefined;
}
