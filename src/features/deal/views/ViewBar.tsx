import { lazy, memo, Suspense, useRef, useState } from "react";
import { focusSoon } from "@/features/focus/focus-soon";
import { useFrame } from "../desk/desk-context";
import { barOf, VIEWS, type View } from "../desk/views";
import { useIsFrozen } from "../option/option-context";
import { MORE_OPTIONS, NOTES_FIELD } from "../parts/places";

// A deal begins with one option: the screen starts without the code for more.
const OptionTools = lazy(() =>
  import("../options/many-options").then(({ OptionTools: tools }) => ({ default: tools })),
);
const OptionChoice = lazy(() =>
  import("../options/many-options").then(({ OptionChoice: choice }) => ({ default: choice })),
);
const MoreViews = lazy(() => import("./MoreViews").then(({ MoreViews: more }) => ({ default: more })));
const MoreOptions = lazy(() =>
  import("../options/MoreOptions").then(({ MoreOptions: panel }) => ({ default: panel })),
);

const tabStyle = (isOpen: boolean) =>
  `cursor-pointer whitespace-nowrap border-b-2 px-2.5 py-1 font-semibold ${isOpen ? "border-primary text-primary" : "border-transparent text-faint"}`;

type Props = {
  /** A view is about to be wanted: a pointer or the focus is on its button. */
  onNear: (view: View) => void;
  /** On a narrow screen: whether what can be done with options is shown, too. */
  isOpen: boolean;
};

/** The views of the deal, and what can be done with its options. */
export const ViewBar = memo(function ViewBar({ onNear, isOpen }: Props) {
  const { heading, count, dispatch, view, show } = useFrame();
  const isFrozen = useIsFrozen();
  const [isAdding, setAdding] = useState(false);
  const [isMore, setMore] = useState(false);
  const moreButton = useRef<HTMLButtonElement>(null);
  const { shown, more } = barOf(isFrozen);
  return (
    <>
      <div className="flex items-center gap-x-1 gap-y-1 max-md:flex-wrap">
        <nav aria-label="Views of the deal" className="flex min-w-0 gap-x-1 overflow-x-auto">
          {count > 1 && (
            <Suspense fallback={null}>
              <OptionChoice />
            </Suspense>
          )}
          {shown.map(each => (
            <button
              key={each}
              type="button"
              aria-current={each === view ? "page" : undefined}
              className={tabStyle(each === view)}
              onPointerEnter={() => onNear(each)}
              onFocus={() => onNear(each)}
              onClick={() => show(each)}
            >
              {VIEWS[each]}
            </button>
          ))}
          {more.length > 0 && (
            <button
              ref={moreButton}
              type="button"
              aria-expanded={isMore}
              className={tabStyle(more.some(each => each === view))}
              onClick={() => setMore(true)}
            >
              {more.some(each => each === view) ? VIEWS[view] : "More views"}
            </button>
          )}
          {isMore && (
            <Suspense>
              <MoreViews views={more} beside={moreButton} onNear={onNear} onClose={() => setMore(false)} />
            </Suspense>
          )}
        </nav>
        <span className="grow" />
        <div className={`flex flex-wrap items-center gap-1 ${isOpen ? "" : "max-md:hidden"}`}>
          {count > 1 && !isFrozen && (
            <Suspense fallback={null}>
              <OptionTools />
            </Suspense>
          )}
          {!isFrozen && heading.notes === undefined && (
            <button
              type="button"
              className="btn btn-ghost btn-sm text-primary"
              onClick={() => {
                dispatch({ type: "heading", change: { notes: "" } });
                focusSoon(`#${NOTES_FIELD}`);
              }}
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
});
