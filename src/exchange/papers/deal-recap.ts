import { type EarnedLine, evaluate, income } from "@/core";
import { chosenOption, type DealDocument, nameOf, optionOf } from "../deal-document";
import { readDeal } from "../deal-file";
import {
  applicantInWords,
  type Dealer,
  lenderAnswerInWords,
  officerShareInWords,
  readSide,
  reserveInWords,
  spreadReasonInWords,
} from "../dealer";
import { sentenceWriter } from "../kinds/kind/sentence-writer";
import { amountIn, inNotation, type Locale, notationOf } from "../notation";
import type { Block, Paper, PaperRow } from "../paper-parts/paper";
import { capital } from "../text";
import { type PaperHouse, paperOf, spansOf } from "./about";
import { papersOf } from "./kinds";
import type { Made } from "./made";

/** What a recap is made of: a deal whole, with what the dealer alone knows of it. */
export type RecapQuestion = {
  document: DealDocument;
  dealer: Dealer;
  /** The option that it is of; the chosen one where left out. */
  option?: string | undefined;
  house: PaperHouse;
  /** How figures are written where the option does not say it. */
  locale: Locale;
  /** A day number. */
  day: number;
};

/**
 * Both sides of a deal on one paper, for the house alone: what the customer pays, what the dealer earns line by line, what
 * lenders have said, and who gets what.
 */
export function dealRecap({
  document,
  dealer,
  option: id,
  house,
  locale,
  day,
}: RecapQuestion): Made<{ paper: Paper }> {
  const option = (id && optionOf(document, id)) || chosenOption(document);
  const { inputs } = option;
  const deal = readDeal(inputs);
  const quote = deal.ok ? evaluate(deal.value) : deal;
  if (!quote.ok)
    return {
      ok: false,
      sentence: `There is no recap of an option without an answer: ${quote.failure.sentence}`,
    };
  const known = dealer.options?.[option.id] ?? {};
  const side = readSide(inputs, known);
  if (!side.ok) return { ok: false, sentence: side.failure.sentence };
  const { currency } = inputs;
  const notation = notationOf(inputs.locale ?? locale);
  const say = (text: string) => inNotation(text, notation);
  const money = (minor: number | null) =>
    minor === null ? "not known" : amountIn(minor, currency, notation);
  const { front, back, total, officerShare, notes } = income(quote.value, side.value, document.place);
  const rowOf = ({ name, difference, amount }: EarnedLine): PaperRow => ({
    kind: "line",
    cells: [capital(name), difference ? difference.map(money).join(" − ") : "", money(amount)],
  });
  const sum = (name: string, amount: number | null): PaperRow => ({
    kind: "total",
    cells: [name, "", money(amount)],
  });
  const kind = papersOf(quote.value);
  const write = sentenceWriter(currency, notation);
  const { reserve, officerShare: share, lenderAnswers = [], spreadReason, chargedBack = [] } = known;
  const facts: [string, string][] = [
    ...(inputs.lender ? [["Lender", inputs.lender] as [string, string]] : []),
    ...(known.buyRate === undefined ? [] : [["Buy rate", say(String(known.buyRate))] as [string, string]]),
    ...(reserve ? [["Reserve", say(reserveInWords(reserve, currency))] as [string, string]] : []),
    ...(share && officerShare !== null
      ? [
          ["Officer", say(`${officerShareInWords(share, currency)}: ${money(officerShare)}`)] as [
            string,
            string,
          ],
        ]
      : []),
    ...(total !== null && officerShare !== null
      ? [["House", money(total - officerShare)] as [string, string]]
      : []),
    ...(spreadReason ? [["Why this rate", say(spreadReasonInWords(spreadReason))] as [string, string]] : []),
    ...lenderAnswers.map(
      (answer, index) =>
        [`Lender’s answer ${index + 1}`, say(lenderAnswerInWords(answer, currency))] as [string, string],
    ),
    ...(dealer.applicant
      ? [["The customer", say(applicantInWords(dealer.applicant, currency))] as [string, string]]
      : []),
    ...chargedBack.map(({ on, amount }) => ["Charged back", say(`${on}: ${amount}`)] as [string, string]),
  ];
  const blocks: Block[] = [
    { kind: "paragraph", size: "large", spans: [{ strong: "For the house alone." }] },
    {
      kind: "paragraph",
      spans: spansOf(kind.sentence(quote.value, write)),
    },
    tallyOf(kind.tally(quote.value), minor => money(minor)),
    {
      kind: "table",
      name: "What it earns",
      headings: ["Earned", "", currency],
      words: 2,
      rows: [
        ...front.lines.map(rowOf),
        sum("Front gross", front.total),
        ...back.lines.map(rowOf),
        sum("Back gross", back.total),
        sum("Earned in all", total),
      ],
    },
    ...(facts.length > 0 ? [{ kind: "facts", facts } as const] : []),
    ...notes.map(note => ({ kind: "paragraph", size: "small", spans: [say(note)] }) as const),
  ];
  const about = {
    house,
    customer: nameOf(document.customer),
    vehicle: nameOf(document.vehicle),
    place: document.place,
    day,
    notation,
  };
  const paper = paperOf("Deal recap", about, blocks);
  return { ok: true, paper: { ...paper, foot: "For the house alone. Not for customers." } };
}

type Tally = ReturnType<ReturnType<typeof papersOf>["tally"]>;

const tallyOf = ({ lines, name, total }: Tally, money: (minor: number) => string): Block => ({
  kind: "tally",
  lines: lines.map(
    each => [capital(each.name), `${each.sign < 0 ? "− " : ""}${money(each.amount)}`] as const,
  ),
  sum: [name, money(total)],
});
