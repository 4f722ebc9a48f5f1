import { extrasOneByOne } from "@/core";
import { sentenceWriter } from "../kinds/kind/sentence-writer";
import { amountIn, inNotation } from "../notation";
import type { Paper, PaperRow } from "../paper-parts/paper";
import type { StructureFile } from "../structure/structure.schema";
import { type About, type AnsweredOption, paperOf } from "./about";
import type { Made } from "./made";

/** Where initials are written. */
const INITIALS = "__________";

/**
 * Extras one by one: each with its price, the payment with it and without it, and a place for initials; nothing is ticked.
 *
 * @param option whose extras they are
 * @param about whose paper it is, and for whom
 * @param structure as it was typed
 */
export function extrasPaper(
  { quote }: AnsweredOption,
  about: About,
  structure: StructureFile | undefined,
): Made<{ paper: Paper }> {
  const typed = structure?.extras ?? [];
  if (typed.length === 0) return { ok: false, sentence: "The option has no extras." };
  const one = extrasOneByOne(quote);
  if (!one.ok) return { ok: false, sentence: one.failure.sentence };
  const { notation } = about;
  const { currency } = quote.deal;
  const { money } = sentenceWriter(currency, notation);
  const amount = (minor: number | null) => (minor === null ? "–" : amountIn(minor, currency, notation));
  const { each, withAll, withNone } = one.value;
  const months = typed.map(extra => extra.months);
  const hasTerms = months.some(each => each !== undefined);
  const rows = each.map(
    ({ name, price, without }, index): PaperRow => ({
      kind: "line",
      cells: [
        name,
        ...(hasTerms
          ? [months[index] === undefined ? "as long as the deal" : `${months[index]} months`]
          : []),
        amount(price),
        amount(withAll),
        amount(without),
        INITIALS,
      ],
    }),
  );
  const blank = hasTerms ? [""] : [];
  const total = each.reduce((sum, { price }) => sum + price, 0);
  return {
    ok: true,
    paper: paperOf("Extras, one by one", about, [
      {
        kind: "paragraph",
        size: "large",
        spans: [
          "With all extras each payment is ",
          { strong: money(withAll) },
          ...(withNone === null ? [] : ["; with none it is ", { strong: money(withNone) }]),
          ".",
        ],
      },
      {
        kind: "paragraph",
        spans: [
          "Each extra is the customer’s own choice. Beside each stands the payment with it and without it, the others as they are; initial those that you want.",
        ],
      },
      {
        kind: "table",
        name: "Extras",
        headings: [
          "Extra",
          ...(hasTerms ? ["Holds for"] : []),
          "Price",
          "Payment with it",
          "Payment without it",
          "Initials",
        ],
        words: hasTerms ? 2 : 1,
        rows: [
          ...rows,
          {
            kind: "total",
            cells: ["All together, or none", ...blank, amount(total), amount(withAll), amount(withNone), ""],
          },
        ],
      },
      ...typed.flatMap(({ name, optional }) =>
        optional
          ? [
              {
                kind: "paragraph",
                size: "small",
                spans: [
                  inNotation(
                    `${name}: ${optional.voluntary ? "voluntary" : "not voluntary"}; its cost is ${optional.costDisclosed ? "" : "not "}disclosed; ${optional.askedForInWriting ? "asked for in writing" : "not asked for in writing"}.`,
                    notation,
                  ),
                ],
              } as const,
            ]
          : [],
      ),
      { kind: "signatures", who: [about.customer || "Customer"] },
    ]),
  };
}
