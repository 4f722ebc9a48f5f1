import { useLayoutEffect, useRef } from "react";
import { Panel } from "./Panel";

/** Every key that does something here. */
const SHORTCUTS: readonly (readonly [keys: string, does: string])[] = [
  [
    "Ctrl K",
    "Do anything: every command, field and view by its name, or a phrase such as “72 payments at 5.9”",
  ],
  ["Ctrl /", "This sheet"],
  [
    "Ctrl .",
    "The dealer’s side, opened or closed everywhere; it closes by itself after five minutes without a key",
  ],
  ["F9", "On a deal: the customer’s screen over the desk, and back"],
  ["Ctrl Z", "Undo; in all options of the deal"],
  ["Ctrl Shift Z", "Redo"],
  ["F2", "In a line’s figure: to its links and choices, ← → from one to the next, F2 back"],
  ["Alt ↓", "In a date: open the calendar"],
  ["?", "In a field: find this figure instead of giving it"],
  ["↑ ↓", "Under “Make the payment”: choose what gives way"],
  ["Enter", "There: take it"],
  ["Shift Enter", "There: take it as a new option"],
  ["Esc", "There: forget the wish; elsewhere: close what is open"],
  ["Enter", "In a step, a payment of a list or an extra: one more"],
  ["Delete", "In an empty one: remove"],
  ["Alt ← →", "On an option: move it to the left or the right"],
  [
    "← → ↑ ↓",
    "On the map: read another place; Enter moves the deal there, Shift Enter makes an option of it",
  ],
];

/** The keys, in one sheet. */
export function Shortcuts({ onClose }: { onClose: (isBack: boolean) => void }) {
  const close = useRef<HTMLButtonElement>(null);
  // Before it is seen: a key that follows at once is the sheet's.
  useLayoutEffect(() => close.current?.focus(), []);
  return (
    <Panel label="Keys" onClose={onClose}>
      <div className="flex items-center justify-between px-4 pt-3">
        <h2 className="font-semibold text-lg">Keys</h2>
        <button ref={close} type="button" className="btn btn-sm" onClick={() => onClose(true)}>
          Close
        </button>
      </div>
      <dl className="grid grid-cols-[auto_1fr] items-baseline gap-x-4 gap-y-1.5 overflow-auto px-4 py-3">
        {SHORTCUTS.map(([keys, does]) => (
          <div key={keys + does} className="contents">
            <dt className="whitespace-nowrap">
              {keys.split(" ").map(key => (
                <kbd key={key} className="kbd kbd-sm mr-1">
                  {key}
                </kbd>
              ))}
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <p className="border-base-300 border-t px-4 py-2 text-faint text-sm">
        In any figure: 12.5k, 41,850 − 1,200, +500 and −2 % are understood, dates as 24 Nov, tomorrow or +3
        weeks.
      </p>
    </Panel>
  );
}
