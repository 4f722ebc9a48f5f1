import { lazy, Suspense, useState } from "react";
import { useDesk } from "../desk/desk-context";
import { VIEWS, type View } from "../desk/views";
import { useIsFrozen } from "../option/option-context";
import { MORE_OPTIONS } from "../parts/places";

// A deal begins with one option: the screen starts without the code for more.
const OptionTools = lazy(() =>
  import("../options/OptionTools").then(({ OptionTools: tools }) => ({ default: tools })),
);
const MoreOptions = lazy(() =>
  import("../options/MoreOptions").then(({ MoreOptions: panel }) => ({ default: panel })),
);

/** A signed deal has nothing that could be moved on a map. */
const viewsOf = (isFrozen: boolean) =>
  (Object.keys(VIEWS) as View[]).filter(view => !isFrozen || (view !== "map" && view !== "reach"));

type Props = {
  /** A view is about to be wanted: a pointer or the focus is on its button. */
  onNear: (view: View) => void;
};

/** The views of the deal, and what can be done with its options. */
export function ViewBar({ onNear }: Props) {
  const { state, dispatch, view, show } = useDesk();
  const { options } = state;
  const isFrozen = useIsFrozen();
  const [isAdding, setAdding] = useState(false);
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-1 gap-y-1">
        <nav aria-label="Views of the deal" className="flex flex-wrap gap-x-1">
          {viewsOf(isFrozen).map(each => (
            <button
              key={each}
              type="button"
              aria-current={each === view ? "page" : undefined}
              className={`cursor-pointer border-b-2 px-2.5 py-1 font-semibold ${each === view ? "border-primary text-primary" : "border-transparent text-faint"}`}
              onPointerEnter={() => onNear(each)}
              onFocus={() => onNear(each)}
              onClick={() => show(each)}
            >
              {VIEWS[each]}
            </button>
          ))}
        </nav>
        <span className="grow" />
        {options.length > 1 && !isFrozen && (
          <Suspense fallback={null}>
            <OptionTools />
          </Suspense>
        )}
        {!isFrozen && state.heading.notes === undefined && (
          <button
            type="button"
            className="btn btn-ghost btn-sm text-primary"
            onClick={() => dispatch({ type: "heading", change: { notes: "" } })}
          >
            + Note
          </button>
        )}
        {!isFrozen && (
          <button
            type="button"
            id={MORE_OPTIONS}
            aria-expanded={isAdding}
            className="btn btn-ghost btn-sm text-primary"
            onClick={() => setAdding(!isAdding)}
          >
            + Option
          </button>
        )}
      </div>
      {isAdding && (
        <Suspense fallback={<p className="text-faint">Opening …</p>}>
          <MoreOptions
            onDone={() => {
              setAdding(false);
              document.getElementById(MORE_OPTIONS)?.focus();
            }}
          />
        </Suspense>
      )}
    </>
  );
}
