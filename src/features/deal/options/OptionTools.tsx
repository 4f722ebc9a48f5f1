import { ChevronLeft, ChevronRight, Copy, Star, Trash2 } from "lucide-react";
import { memo, type ReactNode } from "react";
import { MOST_OPTIONS } from "@/exchange/deal-document";
import { useDesk, useFrame } from "../desk/desk-context";
import { Check } from "../parts/choices";
import { alsoChanged } from "./option-changes";
import { useOptionActions, useOptions } from "./use-options";

/** What can be done with the open option. */
export function OptionTools() {
  const { state } = useDesk();
  const options = useOptions();
  const place = options.findIndex(({ isOpen }) => isOpen);
  const option = options[place];
  if (!option) return null;
  const { id, called, isChosen } = option;
  const isSpread = state.spread !== null;
  return <ToolsOf id={id} called={called} isChosen={isChosen} place={place} isSpread={isSpread} />;
}

const LEFT = <ChevronLeft size={16} aria-hidden="true" />;
const RIGHT = <ChevronRight size={16} aria-hidden="true" />;
const CHOSEN = <Star size={15} aria-hidden="true" className="fill-current text-success" />;
const CHOOSE = <Star size={15} aria-hidden="true" />;
const COPY = <Copy size={15} aria-hidden="true" />;
const DELETE = <Trash2 size={15} aria-hidden="true" />;

type ToolsProps = {
  id: string;
  called: string;
  isChosen: boolean;
  /** Among the options, from 0. */
  place: number;
  /** Whether a change is made in all of them. */
  isSpread: boolean;
};

/** Drawn again only where something of the option has changed that they show. */
const ToolsOf = memo(function ToolsOf({ id, called, isChosen, place, isSpread }: ToolsProps) {
  const { dispatch, count } = useFrame();
  const { choose, duplicate, moveBy, remove } = useOptionActions();
  return (
    <>
      <Check
        label="Changes in all options"
        checked={isSpread}
        onChange={isOn => dispatch({ type: "spread", spread: isOn ? alsoChanged : null })}
      />
      <fieldset className="ml-2 flex items-center">
        <legend className="sr-only">Option “{called}”</legend>
        <button
          type="button"
          className="btn btn-ghost btn-sm"
          aria-pressed={isChosen}
          onClick={() => choose(id)}
        >
          {isChosen ? CHOSEN : CHOOSE}
          {isChosen ? "Chosen" : "Choose"}
        </button>
        <Tool name="Move it to the left" isOff={place === 0} onClick={() => moveBy(id, -1)}>
          {LEFT}
        </Tool>
        <Tool name="Move it to the right" isOff={place === count - 1} onClick={() => moveBy(id, 1)}>
          {RIGHT}
        </Tool>
        <Tool name="Duplicate it" isOff={count >= MOST_OPTIONS} onClick={() => duplicate(id)}>
          {COPY}
        </Tool>
        <Tool name="Delete it" onClick={() => remove(id, called)}>
          {DELETE}
        </Tool>
      </fieldset>
    </>
  );
});

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
