import { formatAmount, type Quote } from "@/core";
import { definedOnly, withOptional } from "../../members";
import type { StructureFile } from "../../structure";

/** What a deal of any kind is, as far as a deal of another kind can take it over. */
type AnyFile = {
  format: "kellux-deal";
  version: 1;
  currency: string;
  locale?: string | undefined;
  structure: StructureFile;
  plan: object;
  find: string;
  from?: object | undefined;
  ask?: readonly object[] | undefined;
  kept?: { plan: object; find: string; from?: object; ask?: readonly object[] } | undefined;
};

/** What of a plan another kind of plan can take over, as it was typed. */
type TakenOver = {
  yearlyRate?: string | number | undefined;
  payments?: number | undefined;
  frequency: Frequency;
  rounding?: Rounding | undefined;
  roundingStep?: string | number | undefined;
  signed?: string | undefined;
  /** What is left at the end. */
  atEnd?: { amount: string | number } | { percent: string | number } | undefined;
  /** The payment that is shown, where the deal goes on looking for a figure from it. */
  payment?: string | undefined;
};

type Frequency = Quote["filled"]["plan"]["frequency"];
type Rounding = Quote["filled"]["plan"]["rounding"];

/** How a kind is turned into another one, and another one into it. */
export type Turning<File extends AnyFile, Answer> = {
  /** A deal that asks for its payment, with the figure that it was looking for given: as found where there is an answer. */
  giveFound(file: File, quote: Answer | null): File;
  takenOver(plan: File["plan"]): TakenOver;
  /** The plan that a deal of another kind has as one of this kind for the first time. */
  firstPlan(taken: TakenOver, structure: StructureFile): File["plan"];
};

/**
 * A deal as one of another kind. What both have is taken over the first time; a deal that was of that kind before is that
 * one again. The structure is every kind's.
 *
 * @param file the deal as it was typed
 * @param quote its answer
 * @param from how its kind is turned
 * @param to how the other one is
 */
export function turnInto<
  From extends AnyFile,
  Answer extends Pick<Quote, "payment" | "decimals">,
  To extends AnyFile,
>(
  file: From,
  quote: Answer | null,
  from: Turning<From, Answer>,
  to: Pick<Turning<To, never>, "firstPlan">,
): To {
  const { format, version, currency, locale } = file;
  const open = openFigure(file.find);
  const given = from.giveFound(file, quote);
  const payment = open && quote ? formatAmount(quote.payment, quote.decimals) : undefined;
  const turned = file.kept
    ? comingBack(file.find, file.kept)
    : {
        plan: to.firstPlan({ ...from.takenOver(given.plan), payment }, given.structure),
        find: open ?? "payment",
      };
  // Every figure of the structure is there but the one that is looked for.
  const { structure } = openFigure(turned.find) === open ? file : given;
  return {
    format,
    version,
    currency,
    ...(locale && { locale }),
    structure,
    ...turned,
    kept: keptOf(file),
  } as unknown as To;
}

/** What is kept of a deal while it is of another kind. */
const keptOf = ({ plan, find, from, ask }: AnyFile) => ({
  plan,
  find,
  ...(from && { from }),
  ...(ask && { ask }),
});

/** The figure of the structure that a find leaves open. */
function openFigure(find: string): "price" | "down" | "allowance" | undefined {
  if (find === "downPercent") return "down";
  return find === "price" || find === "down" || find === "allowance" ? find : undefined;
}

/** Its own way from before, unless the structure has given since what it was looking for. */
function comingBack(now: string, kept: NonNullable<AnyFile["kept"]>): NonNullable<AnyFile["kept"]> {
  const open = openFigure(kept.find);
  if (open === undefined || open === openFigure(now)) return kept;
  const { from: _from, ...rest } = kept;
  return {
    ...rest,
    plan: withOptional(kept.plan as { payment?: string }, "payment", undefined),
    find: "payment",
  };
}

/** Only what was typed: members that are undefined are left out. */
export const typedOnly = <Plan extends object>(
  plan: { [Member in keyof Plan]: Plan[Member] | undefined },
): Plan => definedOnly(plan) as Plan;
