import { parseIsoDate } from "@/core";
import { type Fit, fitterOf, isUnknown, type LimitName, mostRateOf } from "@/core/programs";
import { isSame } from "../deal-document";
import type { DealFile } from "../deal-file";
import type { DealerOfOption } from "../dealer";
import { dealToFit } from "./deal-to-fit";
import type { ProgramsAsked } from "./programs-on-deal";
import type { Lender } from "./rates.schema";
import { changedLines } from "./rates-changes";
import { readProgram } from "./read-program";
import { reasonInWords } from "./reason-words";
import { programNamed } from "./take-program";

type TakenProgram = NonNullable<DealerOfOption["program"]>;

/** The program that an option was made with, as it is now. */
export type TakenNow = {
  lender: string;
  program: string;
  /** Whether it is as it was, was changed since, is offered no more, or has run out. */
  state: "same" | "changed" | "gone" | "ranOut";
  /** What was changed of it, one phrase each. */
  what: string[];
  /** Limits of it, as it was, that the option is beyond by now. */
  broken: { limit: LimitName; words: string }[];
};

/** How the program that an option was made with stands today, and which of its limits the option breaks. */
export function takenNow(taken: TakenProgram, lenders: readonly Lender[], asked: ProgramsAsked): TakenNow {
  const { lender, program } = taken;
  const now = programNamed(lenders, { lender, program: program.name })?.file;
  const what = now && !isSame(now, program) ? changedLines(program, now) : [];
  const isOver = now?.valid?.to !== undefined && (parseIsoDate(now.valid.to) ?? 0) < asked.known.today;
  const state = !now ? "gone" : isOver ? "ranOut" : what.length > 0 ? "changed" : "same";
  return { lender, program: program.name, state, what, broken: brokenOf(taken, asked) };
}

function brokenOf(
  { lender, program: file }: TakenProgram,
  { inputs, known, spread }: ProgramsAsked,
): TakenNow["broken"] {
  const read = readProgram(lender, file);
  const deal = dealToFit(inputs, known);
  if (!read.ok || !deal.ok) return [];
  const fit = fitterOf(deal.value, spread)(read.program);
  const broken: TakenNow["broken"] = fit.reasons
    .filter(reason => !isUnknown(reason))
    .map(reason => ({ limit: reason.limit, words: reasonInWords(reason, inputs.currency) }));
  const rate = rateBeyond(inputs, fit);
  return rate === null ? broken : [...broken, { limit: "rate", words: rate }];
}

/** What of the option's own rate is beyond what the program lets the customer be asked for. */
function rateBeyond({ plan }: DealFile, { program, offer }: Fit): string | null {
  const own = "moneyFactor" in plan ? (plan.moneyFactor ?? plan.yearlyRate) : plan.yearlyRate;
  if (offer === null || own === undefined) return null;
  const most = mostRateOf(program, offer);
  const unit = program.kind === "lease" && program.reckoning === "moneyFactor" ? "" : " %";
  if (Number(own) < Number(offer.buyRate)) return `rate ${own}${unit}, bought at ${offer.buyRate}${unit}`;
  return most !== null && Number(own) > Number(most) ? `rate ${own}${unit}, at most ${most}${unit}` : null;
}
