import { ChevronDown, Plus } from "lucide-react";
import { useRef, useState } from "react";
import { NEW_DEAL_NAMES, type NewDeal } from "@/exchange/settings";
import { newDeal } from "./register-actions";

/** Begins a deal: as usual in the house with one press, as anything else with two. */
export function NewDealButton({ usual }: { usual: NewDeal }) {
  const [isOpen, setOpen] = useState(false);
  const others = useRef<HTMLButtonElement>(null);
  const kinds = Object.keys(NEW_DEAL_NAMES) as NewDeal[];
  const close = () => {
    setOpen(false);
    others.current?.focus();
  };
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: Escape closes what is open in it
    <div
      className="join relative"
      onKeyDown={event => event.key === "Escape" && isOpen && close()}
      onBlur={event => {
        if (!event.currentTarget.contains(event.relatedTarget)) setOpen(false);
      }}
    >
      <button
        type="button"
        className="btn join-item btn-primary btn-sm h-8.5"
        title={NEW_DEAL_NAMES[usual]}
        onClick={() => void newDeal(usual)}
      >
        <Plus size={16} aria-hidden="true" />
        New deal
      </button>
      <button
        ref={others}
        type="button"
        aria-label="Another kind of deal"
        aria-expanded={isOpen}
        className="btn join-item btn-primary btn-sm h-8.5 px-1.5"
        onClick={() => setOpen(!isOpen)}
      >
        <ChevronDown size={16} aria-hidden="true" />
      </button>
      {isOpen && (
        <ul className="card-paper absolute top-full right-0 z-20 mt-1 min-w-44 p-1 shadow-md">
          {[usual, ...kinds.filter(kind => kind !== usual)].map(kind => (
            <li key={kind}>
              <button
                type="button"
                className="w-full cursor-pointer rounded-field px-3 py-1.5 text-left hover:bg-base-200"
                onClick={() => void newDeal(kind)}
              >
                {NEW_DEAL_NAMES[kind]}
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
