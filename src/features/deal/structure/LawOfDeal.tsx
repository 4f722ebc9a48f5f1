import { PLACE_NAMES, PLACES, type Place } from "@/exchange/place/places";
import { useDesk } from "../desk/desk-context";

/** The place whose law counts for the deal, once somebody wants it to be another. */
export function LawOfDeal() {
  const { state, dispatch } = useDesk();
  return (
    <select
      aria-label="Place whose law counts"
      className="choice-in-words"
      // biome-ignore lint/a11y/noAutofocus: it comes in the place of the button that was pressed
      autoFocus
      value={state.heading.place ?? ""}
      onChange={({ target }) =>
        dispatch({ type: "heading", change: { place: (target.value as Place) || undefined } })
      }
    >
      <option value="">law: no place’s</option>
      {PLACES.map(each => (
        <option key={each} value={each}>
          law: {PLACE_NAMES[each]}
        </option>
      ))}
    </select>
  );
}
