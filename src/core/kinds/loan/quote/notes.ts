import { isoDate } from "../../../calendar";
import { groupedAmount } from "../../../money";
import type { Answer } from "../find";
import { type DatedExtra, type Repayment, type Terms, whenOfExtra } from "../plan";

/** What an answer has to say besides its figures: how it is other than asked, in sentences. */
export function notesOf({ note, terms, priced: { repayment } }: Answer): readonly string[] {
  if (repayment.unused.length === 0 && terms.lateExtras.length === 0 && !note) return terms.draft.notes;
  const unused = [...repayment.unused, ...terms.lateExtras];
  return [
    ...(note ? [note] : []),
    ...terms.draft.notes,
    ...unusedExtras({ unused, finalDate: repayment.finalDate }, terms),
  ];
}

/** Extra payments that come too late to be used, in sentences. */
export function unusedExtras(
  { unused, finalDate }: { unused: readonly DatedExtra[] } & Pick<Repayment, "finalDate">,
  { decimals }: Pick<Terms, "decimals">,
): string[] {
  const end = finalDate === null ? "" : `, on ${isoDate(finalDate)},`;
  return unused
    .filter(({ repeats }) => !repeats)
    .map(
      extra =>
        `The extra of ${groupedAmount(extra.amount, decimals)} ${whenOfExtra(extra)} comes after the loan has ended${end} and is not used.`,
    );
}
