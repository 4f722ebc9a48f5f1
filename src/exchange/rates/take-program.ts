import { evaluate, failure, formatAmount, isoDate, type Result, success } from "@/core";
import { fitterOf, type Moved, movedDeal, offeredDeal, plainName } from "@/core/programs";
import { type DealFile, readDeal } from "../deal-file";
import type { DealerOfOption } from "../dealer";
import { dealToFit, type ToFit } from "./deal-to-fit";
import type { Lender } from "./rates.schema";
import { readProgram } from "./read-program";
import { withProgram } from "./with-program";

/** A program of a lender, by their names. */
export type ProgramNamed = { lender: string; program: string };

/** What an option is made from, and what of it is the dealer's. */
export type Taken = {
  inputs: DealFile;
  dealer: Pick<DealerOfOption, "buyRate" | "reserve" | "lenderFee" | "program">;
};

/** A program as it is filed, with how its lender is called; undefined where there is none of the name. */
export function programNamed(lenders: readonly Lender[], { lender, program }: ProgramNamed) {
  const of = lenders.find(({ name }) => plainName(name) === plainName(lender));
  const file = of?.programs.find(({ name }) => plainName(name) === plainName(program));
  return of && file ? { lender: of.name, file } : undefined;
}

/**
 * An option as a program offers it, with something moved where that makes it fit.
 *
 * @returns the option as it would be typed, and what the dealer's side is to know of it
 */
export function takeProgram(
  lenders: readonly Lender[],
  named: ProgramNamed,
  {
    inputs,
    known,
    spread,
    moved,
  }: { inputs: DealFile; known: ToFit; spread: string; moved?: Moved | undefined },
): Result<Taken> {
  const found = programNamed(lenders, named);
  const read = found && readProgram(found.lender, found.file);
  if (!found || !read?.ok)
    return failure("buyRate", `${named.lender} offers no “${named.program}” any more.`);
  const deal = dealToFit(inputs, known);
  if (!deal.ok) return deal;
  const toFit = moved ? movedDeal(deal.value, moved) : deal.value;
  const { program } = read;
  const { offer } = fitterOf(toFit, spread)(program);
  const offered = offer && offeredDeal(program, toFit, offer);
  const own = readDeal(inputs);
  const quote = own.ok ? evaluate(own.value) : own;
  if (!quote.ok) return quote;
  if (!offer || !offered) return failure("buyRate", `“${program.name}” has no rate for this deal.`);
  const fee = program.kind === "lease" ? null : program.fee;
  const { reserve } = found.file;
  return success({
    inputs: withProgram(inputs, quote.value, { program, offered, moved }),
    dealer: {
      buyRate: offer.buyRate,
      ...(reserve && { reserve }),
      ...(fee?.paidBy === "dealer" && { lenderFee: formatAmount(fee.amount, quote.value.decimals) }),
      program: { lender: found.lender, on: isoDate(known.today), program: found.file },
    },
  });
}
