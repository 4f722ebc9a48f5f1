import { notationOf } from "@/exchange/notation";
import { programsOnDeal } from "@/exchange/rates/programs-on-deal";
import type { Lender } from "@/exchange/rates/rates.schema";
import { ratesChanges } from "@/exchange/rates/rates-changes";
import { programsOf, readRatesJson } from "@/exchange/rates/read-rates";
import { readRatesCsv } from "@/exchange/rates/read-rates-csv";
import { takeProgram } from "@/exchange/rates/take-program";
import { takenNow } from "@/exchange/rates/taken-now";
import { needsRelease } from "@/exchange/releases";
import type { ProgramsAnswer, ProgramsQuestion, ReadFile } from "./questions";

/** The rates of the last question, read once for all that are asked of them. */
let known: { mark: string; lenders: Lender[]; programs: ReturnType<typeof programsOf> } | undefined;

/** Answers a question, or `"rates"` where the rates that it is about are to be sent along. */
export function answerOf(question: ProgramsQuestion): ProgramsAnswer[keyof ProgramsAnswer] | "rates" {
  if (question.ask === "read") return readFile(question);
  if (question.ask === "release") return needsRelease(question.asked);
  const { mark, lenders } = question;
  if (lenders) known = { mark, lenders, programs: programsOf(lenders) };
  if (known?.mark !== mark) return "rates";
  const { asked } = question;
  if (question.ask === "take") {
    const { inputs, known: facts, spread } = asked;
    const { named, moved } = question;
    return takeProgram(known.lenders, named, { inputs, known: facts, spread, moved: moved ?? undefined });
  }
  const { program } = asked.dealer;
  return {
    told: programsOnDeal(known.programs, asked),
    taken: program ? takenNow(program, known.lenders, asked) : null,
  };
}

/** A file called so is CSV; else it is JSON. */
function readFile({
  text,
  name,
  locale,
  today,
  present,
}: Extract<ProgramsQuestion, { ask: "read" }>): ReadFile {
  const read = /\.csv$/i.test(name)
    ? readRatesCsv(text, { notation: notationOf(locale), today })
    : readRatesJson(text, "The file");
  return read.ok ? { ok: true, lenders: read.lenders, changes: ratesChanges(present, read.lenders) } : read;
}
