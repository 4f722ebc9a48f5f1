import { inNotation } from "@/exchange/notation";
import type { Told } from "@/features/match/MatchBody";
import { noteText } from "@/features/match/note-text";
import { notify } from "@/features/notices/notify";
import { useDesk } from "../desk/desk-context";
import { useIsFrozen, useNotation } from "../option/option-context";

const LONGEST_NOTES = 4000;

/** Keeps what was found, with its working, among the notes of the deal. */
export function KeepNote({ told }: { told: Told }) {
  const { state, dispatch } = useDesk();
  const { notation } = useNotation();
  const isFrozen = useIsFrozen();
  if (isFrozen) return null;
  const keep = () => {
    const { notes = "" } = state.heading;
    const text = inNotation(noteText(told, state.asides?.options?.[state.open]?.theirs ?? {}), notation);
    if (notes.includes(text)) return void notify.success("It is among the notes already.");
    const kept = [notes.trim(), text].filter(Boolean).join("\n");
    if (kept.length > LONGEST_NOTES)
      return void notify.error("There is no room for it among the notes; shorten them.");
    dispatch({ type: "heading", change: { notes: kept } });
    notify.success("Kept among the notes of the deal.");
  };
  return (
    <button type="button" className="btn btn-sm" onClick={keep}>
      Keep as a note
    </button>
  );
}
