import { isoDate } from "../../../calendar";
import { groupedAmount } from "../../../money";
import type { Answer } from "../find";

/** What an answer has to say besides its figures: how it is other than asked, in sentences. */
export function notesOf({ note, terms, priced: { repayment } }: Answer): readonly string[] {
  if (repayment.unused.length === 0 && terms.lateExtras.length === 0 && !note) return terms.draft.notes;
  const notUsed = [...repayment.unused, ...terms.lateExtras].filter(({ repeats }) => !repeats);
  const end = repayment.finalDate === null ? "" : `, on ${isoDate(repayment.finalDate)},`;
  const extras = notUsed.map(
    ({ amount, date }) =>
      `The extra of ${groupedAmount(amount, terms.decimals)} on ${isoDate(date)} comes after the loan has ended${end} and is not used.`,
  );
  return [...(note ? [note] : []), ...terms.draft.notes, ...extras];
}
