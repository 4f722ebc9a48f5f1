import { plainSentence } from "../kinds/kind/segment";
import { sentenceWriter } from "../kinds/kind/sentence-writer";
import type { About, AnsweredOption } from "./about";
import { papersOf } from "./kinds";
import type { Made } from "./made";
import type { PaperDetails } from "./paper-details";
import { PAPER_KINDS, type PaperName } from "./paper-kinds";

/** A letter before it is put together with what it encloses. */
export type Letter = { subject: string; text: string; from: string; enclosed: readonly PaperName[] };

/**
 * What is written to a customer: the deal's sentence as text, and which papers come with it.
 *
 * @param option whose sentence it is
 * @param about whose letter it is, and for whom
 * @param details what it encloses
 */
export function letterOf(
  { quote }: AnsweredOption,
  about: About,
  { enclosed = [] }: PaperDetails,
): Made<{ letter: Letter }> {
  const { house, customer, vehicle, notation } = about;
  const { officer = "", telephone = "", email = "" } = house.settled;
  const sentence = plainSentence(
    papersOf(quote).sentence(quote, sentenceWriter(quote.deal.currency, notation)),
  );
  const names = enclosed.map(name => PAPER_KINDS[name].name.toLowerCase());
  const lines = [
    customer ? `Dear ${customer},` : "Good day,",
    "",
    sentence,
    "",
    ...(names.length > 0 ? [`You find enclosed: ${names.join(", ")}.`, ""] : []),
    "This is an estimate and not a contract. It is subject to credit approval.",
    "",
    ...[officer, house.name, telephone].filter(Boolean),
  ];
  return {
    ok: true,
    letter: {
      subject: [vehicle, "your figures"].filter(Boolean).join(": "),
      text: lines.join("\n"),
      from: email,
      enclosed,
    },
  };
}
