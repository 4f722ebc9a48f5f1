import { ChevronLeft, ChevronRight, Copy, Star, Trash2 } from "lucide-react";
import type { ReactNode } from "react";
import { useDesk } from "../desk/desk-context";
import { Check } from "../parts/choices";
import { alsoChanged, roomFor } from "./option-changes";
import { useOptionActions, useOptions } from "./use-options";

/** What can be done with the open option. */
export function OptionTools() {
  const { state, dispatch } = useDesk();
  const options = useOptions();
  const { choose, duplicate, moveBy, remove } = useOptionActions();
  const place = options.findIndex(({ isOpen }) => isOpen);
  const option = options[place];
  if (!option) return null;
  const { id, called, isChosen } = option;
  return (
    <>
      <Check
        label="Changes in all options"
        checked={state.spread !== null}
        onChange={isSpread => dispatch({ type: "spread", spread: isSpread ? alsoChanged : null })}
      />
      <fieldset className="ml-2 flex items-center">
        <legend className="sr-only">Option “{called}”</legend>
        <button
          type="button"
          className="btn btn-ghost btn-sm"
          aria-pressed={isChosen}
          onClick={() => choose(id)}
        >
          <Star size={15} aria-hidden="true" className={isChosen ? "fill-current text-success" : ""} />
          {isChosen ? "Chosen" : "Choose"}
        </button>
        <Tool name="Move it to the left" isOff={place === 0} onClick={() => moveBy(id, -1)}>
          <ChevronLeft size={16} aria-hidden="true" />
        </Tool>
        <Tool name="Move it to the right" isOff={place === options.length - 1} onClick={() => moveBy(id, 1)}>
          <ChevronRight size={16} aria-hidden="true" />
        </Tool>
        <Tool name="Duplicate it" isOff={roomFor({ options }) === 0} onClick={() => duplicate(id)}>
          <Copy size={15} aria-hidden="true" />
        </Tool>
        <Tool name="Delete it" onClick={() => remove(id, called)}>
          <Trash2 size={15} aria-hidden="true" />
        </Tool>
      </fieldset>
    </>
  );
}

type ToolProps = { name: string; isOff?: boolean; onClick: () => void; children: ReactNode };

/** One that can do nothing now keeps its place and the focus. */
function Tool({ name, isOff = false, onClick, children }: ToolProps) {
  return (
    <button
      type="button"
      className={`btn btn-ghost btn-sm btn-square ${isOff ? "opacity-40" : ""}`}
      aria-label={name}
      title={name}
      aria-disabled={isOff}
      onClick={() => !isOff && onClick()}
    >
      {children}
    </button>
  );
}
