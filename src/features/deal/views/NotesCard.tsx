import { useDesk } from "../desk/desk-context";
import { useIsFrozen } from "../option/option-context";
import { NOTES_FIELD } from "../parts/places";

const LINE_HEIGHT = 1.4;
const MOST_LINES = 8;

/** What is to be remembered of the deal, in the officer's own words, and what was kept of the figures page. */
export function NotesCard() {
  const { state, dispatch } = useDesk();
  const isFrozen = useIsFrozen();
  const { notes = "" } = state.heading;
  const lines = Math.min(Math.max(notes.split("\n").length, 1), MOST_LINES);
  return (
    <section className="card-paper flex shrink-0 items-start gap-3 px-4 py-2">
      <label htmlFor={NOTES_FIELD} className="py-1 font-semibold">
        Notes
      </label>
      {isFrozen ? (
        <p className="grow whitespace-pre-wrap py-1">{notes}</p>
      ) : (
        <textarea
          id={NOTES_FIELD}
          className="field h-auto grow resize-none py-1.5 leading-snug"
          style={{ height: `${lines * LINE_HEIGHT + 0.9}em` }}
          maxLength={4000}
          value={notes}
          onChange={event => dispatch({ type: "heading", change: { notes: event.target.value } })}
          onBlur={() => notes.trim() === "" && dispatch({ type: "heading", change: { notes: undefined } })}
        />
      )}
    </section>
  );
}
