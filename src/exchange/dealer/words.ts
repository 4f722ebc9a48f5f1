import { type DealDocument, type DealOption, isSame } from "../deal-document";
import { proposedNames } from "../option-words";
import type { CostedList } from "../structure/costed-lists";
import { COSTED_LISTS, lineIds } from "../structure/line-ids";
import { linesOf } from "../structure/lines";
import { typedAmountText } from "../text";
import type { Dealer, DealerOfOption } from "./dealer.schema";
import {
  applicantInWords,
  extraChargebackInWords,
  lenderAnswerInWords,
  officerShareInWords,
  reserveInWords,
  spreadReasonInWords,
} from "./terms-in-words";

/**
 * What changed of the dealer's part, one phrase each.
 *
 * @param document the deal that it is of
 * @returns such as "36 monthly: cost of Gap cover 300.00 → 310.00"
 */
export function dealerInWords(document: DealDocument, before: Dealer, after: Dealer): string[] {
  const names = document.options.length > 1 ? proposedNames(document.options) : [];
  const currency = document.options[0]?.inputs.currency ?? "USD";
  const ofOptions = document.options.flatMap((option, index) => {
    const [former, present] = [before.options?.[option.id] ?? {}, after.options?.[option.id] ?? {}];
    if (isSame(former, present)) return [];
    const where = names[index] ? `${names[index]}: ` : "";
    const [from, to] = [knownOf(option, former), knownOf(option, present)];
    return Object.keys({ ...from, ...to }).flatMap(name =>
      from[name] === to[name] ? [] : `${where}${name} ${changed(from[name], to[name])}`,
    );
  });
  const applicants = [before, after].map(
    ({ applicant }) => applicant && applicantInWords(applicant, currency),
  );
  const [from, to] = applicants.map(words => words || undefined);
  const { scoreNoticeOn } = after;
  return [
    ...ofOptions,
    ...(from === to ? [] : [`the customer’s ${changed(from, to)}`]),
    ...(scoreNoticeOn === before.scoreNoticeOn || scoreNoticeOn === undefined
      ? []
      : [`the notice of a score seen to on ${scoreNoticeOn}`]),
  ];
}

/** All that is known of an option, each as it is called and as it is told. */
function knownOf(option: DealOption, known: DealerOfOption): Record<string, string | undefined> {
  const { currency } = option.inputs;
  const money = (typed: string | number | undefined) =>
    typed === undefined ? undefined : typedAmountText(typed, currency);
  const { reserve, officerShare, others = [], spreadReason, lenderAnswers = [], buyRate, program } = known;
  const lines = costedLines(option);
  return {
    "cost of the vehicle": money(known.cost),
    ...Object.fromEntries(lines.map(({ id, words }) => [words, money(known.costs?.[id])])),
    "lender’s fee": money(known.lenderFee),
    ...Object.fromEntries(others.map(({ name, amount }) => [name, money(amount)])),
    program: program && `${program.lender}, ${program.program.name}`,
    "buy rate": buyRate === undefined ? undefined : String(buyRate),
    reserve: reserve && reserveInWords(reserve, currency),
    ...Object.fromEntries(
      lines.map(({ id, words }) => {
        const chargeback = known.extraChargebacks?.[id];
        return [`what comes back, ${words}`, chargeback && extraChargebackInWords(chargeback)];
      }),
    ),
    "officer’s share": officerShare && officerShareInWords(officerShare, currency),
    "why this rate": spreadReason && spreadReasonInWords(spreadReason),
    ...Object.fromEntries(
      (known.chargedBack ?? []).map(({ on, amount }) => [`charged back on ${on}`, money(amount)]),
    ),
    "lenders’ answers":
      lenderAnswers.length === 0
        ? undefined
        : lenderAnswers.map(answer => lenderAnswerInWords(answer, currency)).join("; "),
  };
}

function changed(from: string | undefined, to: string | undefined): string {
  if (to === undefined) return `${from ?? ""} removed`;
  return from === undefined ? to : `${from} → ${to}`;
}

const WHAT: Record<CostedList, string> = {
  fees: "cost of",
  extras: "cost of",
  tradeIns: "worth of",
  rebates: "our part of",
};

/** A line of which the dealer's side can know an amount: what it is called, and what is asked of it. */
type CostedLine = { id: string; list: CostedList; index: number; name: string; words: string };

/** The lines of an option of which the dealer's side can know an amount. */
export function costedLines({ inputs: { structure } }: DealOption): CostedLine[] {
  return COSTED_LISTS.flatMap(list => {
    const lines = linesOf(structure, list);
    return lineIds(structure, list).map((id, index) => {
      const name = lines[index]?.name ?? (lines.length > 1 ? `trade-in ${index + 1}` : "the trade-in");
      return { id, list, index, name, words: `${WHAT[list]} ${name}` };
    });
  });
}
