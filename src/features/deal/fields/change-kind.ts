import { formatAmount, type LeaseQuote, type Quote } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import type { LeaseFile, LeasePlanFile } from "@/exchange/lease-file";
import { rateText } from "@/exchange/text";
import { withOptional } from "./field";
import { giveFound } from "./give-found";
import { giveFoundLease } from "./give-found-lease";
import { definedOnly } from "./structure-lines";

/** What of a deal hangs on its kind, kept while it is of the other one. */
type Kept<File extends DealFile | LeaseFile> = Pick<File, "plan" | "find" | "from" | "ask">;

const keptOf = <File extends DealFile | LeaseFile>({ plan, find, from, ask }: File): Kept<File> => ({
  plan,
  find,
  ...(from && { from }),
  ...(ask && { ask }),
});

/** The figure of the structure that a find leaves open. */
function openFigure(find: DealFile["find"] | LeaseFile["find"]): "price" | "down" | "allowance" | undefined {
  if (find === "downPercent") return "down";
  return find === "price" || find === "down" || find === "allowance" ? find : undefined;
}

/**
 * What a deal comes to as one of the other kind: its own way from before where it has one, unless the structure has
 * given since what it was looking for.
 */
function comingBack<File extends DealFile | LeaseFile>(
  now: DealFile["find"] | LeaseFile["find"],
  kept: Kept<File>,
): Kept<File> {
  const open = openFigure(kept.find);
  if (open === undefined || open === openFigure(now)) return kept;
  const { from: _from, ...rest } = kept;
  const plan = withOptional(kept.plan as { payment?: string }, "payment", undefined);
  return { ...rest, plan, find: "payment" } as Kept<File>;
}

/**
 * A loan as a lease. What a lease has too is taken over the first time; a deal that was a lease before is that lease
 * again. The structure is both kinds'.
 *
 * @param file the loan as it was typed
 * @param quote its answer
 */
export function asLease(file: DealFile, quote: Quote | null): LeaseFile {
  const open = openFigure(file.find);
  const given = giveFound(file, quote);
  const kept: Kept<LeaseFile> = file.kept
    ? comingBack(file.find, file.kept)
    : { plan: firstLeasePlan(given, quote, open !== undefined), find: open ?? "payment" };
  return {
    ...sharedBy(file),
    structure: openFigure(kept.find) === open ? file.structure : given.structure,
    ...kept,
    kept: keptOf(file),
  };
}

/** A lease as a loan; the other way round. */
export function asLoan(file: LeaseFile, quote: LeaseQuote | null): DealFile {
  const open = openFigure(file.find);
  const given = giveFoundLease(file, quote);
  const kept: Kept<DealFile> = file.kept
    ? comingBack(file.find, file.kept)
    : { plan: firstLoanPlan(given, quote, open !== undefined), find: open ?? "payment" };
  return {
    ...sharedBy(file),
    structure: openFigure(kept.find) === open ? file.structure : given.structure,
    ...kept,
    kept: keptOf(file),
  };
}

/** What does not hang on the kind of a deal. */
function sharedBy({ format, version, currency, locale }: DealFile | LeaseFile) {
  return { format, version, currency, ...(locale && { locale }) };
}

/** Only what was typed: members that are undefined are left out. */
function typedOnly<Plan extends object>(plan: { [Member in keyof Plan]: Plan[Member] | undefined }): Plan {
  return definedOnly(plan) as Plan;
}

/** A loan's rate is that of a lease reckoned by level yield, and a balloon in its end is the residual. */
function firstLeasePlan(
  { plan, structure }: DealFile,
  quote: Quote | null,
  isFoundFromPayment: boolean,
): LeasePlanFile {
  const { yearlyRate, payments, frequency, rounding, roundingStep, signed, balloon } = plan;
  const residual: LeasePlanFile["residual"] =
    balloon && ("percent" in balloon ? { percent: balloon.percent, of: "price" } : balloon);
  const taxes = structure.taxes?.map(({ name, rate }) => ({ name, rate, on: ["payment" as const] }));
  return typedOnly<LeasePlanFile>({
    kind: "lease",
    reckoning: "levelYield",
    yearlyRate,
    payments,
    frequency,
    rounding,
    roundingStep,
    signed,
    residual,
    inAdvance: 1,
    taxes,
    payment: isFoundFromPayment ? paymentOf(quote) : undefined,
  });
}

function firstLoanPlan(
  { plan }: LeaseFile,
  quote: LeaseQuote | null,
  isFoundFromPayment: boolean,
): DealFile["plan"] {
  const { yearlyRate, moneyFactor, payments, frequency, rounding, roundingStep, signed } = plan;
  return typedOnly<DealFile["plan"]>({
    kind: "loan",
    yearlyRate: yearlyRate ?? (moneyFactor === undefined ? undefined : rateText(Number(moneyFactor) * 2400)),
    payments,
    frequency,
    rounding,
    roundingStep,
    signed,
    payment: isFoundFromPayment ? paymentOf(quote) : undefined,
  });
}

function paymentOf(quote: Quote | LeaseQuote | null): string | undefined {
  return quote ? formatAmount(quote.payment, quote.decimals) : undefined;
}
