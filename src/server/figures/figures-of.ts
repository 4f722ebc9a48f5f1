import { failure, type Result, success } from "@/core";
import type { FiguresFrom, KeptFigures } from "@/data/register-figures";
import type { DealFile } from "@/exchange/deal-file";
import { fileKindOf, recordKind } from "@/exchange/kinds";
import type { Listed } from "@/exchange/kinds/kind/kind";
import { registerKind, termName } from "@/exchange/option-words";
import { readSignedQuotes } from "@/exchange/signed-quote";

/** The same as {@link figuresOf}, from JSON. */
export const figuresFrom = ({ inputs, signed }: FiguresFrom): KeptFigures =>
  figuresOf(JSON.parse(inputs), signed === null ? undefined : JSON.parse(signed));

/**
 * What the register shows of an option, as the core answers it.
 *
 * @param signed what it was signed with, of any form; its figures are shown, whatever the core would answer
 */
export function figuresOf(inputs: DealFile, signed?: unknown): KeptFigures {
  const { currency, plan } = inputs;
  const paid = fileKindOf(inputs).paid(plan);
  const figures = signed === undefined ? answered(inputs) : signedWith(signed);
  const told = { currency, paid, planKind: registerKind(inputs), chosenName: termName(inputs) };
  if (!figures.ok) return { ...told, payment: null, amountFinanced: null, problem: figures.failure.sentence };
  const { payment, amountFinanced } = figures.value;
  return { ...told, payment, amountFinanced, problem: null };
}

function signedWith(stored: unknown): Result<Listed> {
  const [signed] = readSignedQuotes([stored]);
  if (!signed || signed.kind === "none") return failure("payment", signed?.words.sentence ?? "");
  return success(recordKind(signed).listedRecord(signed));
}

function answered(inputs: DealFile): Result<Listed> {
  const { read, listed } = fileKindOf(inputs);
  const deal = read(inputs);
  return deal.ok ? listed(deal.value) : deal;
}
