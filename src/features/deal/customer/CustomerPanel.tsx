import { PARTS_SHOWN, type PartShown } from "@/exchange/customer-screen/parts";
import { Panel } from "@/features/shell/Panel";
import type { CalledOption } from "../options/use-options";
import { Check } from "../parts/choices";

type Props = {
  options: readonly CalledOption[];
  parts: ReadonlySet<PartShown>;
  onParts: (parts: ReadonlySet<PartShown>) => void;
  /** Options that are left out, by their ids. */
  hidden: ReadonlySet<string>;
  onHidden: (hidden: ReadonlySet<string>) => void;
  /** When it was frozen; null while it follows. */
  asOf: string | null;
  onFreeze: (isFrozen: boolean) => void;
  onWindow: () => void;
  onHere: () => void;
  onClose: (isBack: boolean) => void;
};

/** What is put on the customer's screen, and where it stands. */
export function CustomerPanel(props: Props) {
  const { options, parts, onParts, hidden, onHidden, asOf, onFreeze, onWindow, onHere, onClose } = props;
  const answered = options.filter(({ state }) => state.answer.ok);
  return (
    <Panel label="Customer screen" onClose={onClose}>
      <div className="grid gap-x-6 gap-y-3 px-4 py-3 text-base md:grid-cols-2">
        <div className="flex flex-wrap gap-2 md:col-span-2">
          {/* biome-ignore lint/a11y/noAutofocus: the panel was just asked for, and this is what comes next */}
          <button type="button" className="btn btn-primary btn-sm" autoFocus onClick={onWindow}>
            Open its window
          </button>
          <button type="button" className="btn btn-sm" onClick={onHere}>
            Show it here <kbd className="kbd kbd-sm">F9</kbd>
          </button>
        </div>
        <fieldset className="grid gap-1">
          <legend className="mb-1 font-semibold">On it</legend>
          {(Object.keys(PARTS_SHOWN) as PartShown[]).map(part => (
            <Check
              key={part}
              label={PARTS_SHOWN[part]}
              checked={parts.has(part)}
              onChange={() => onParts(toggled(parts, part))}
            />
          ))}
        </fieldset>
        {answered.length > 1 && (
          <fieldset className="grid gap-1">
            <legend className="mb-1 font-semibold">Options</legend>
            {answered.map(({ id, called }) => (
              <Check
                key={id}
                label={called}
                checked={!hidden.has(id)}
                onChange={() => onHidden(toggled(hidden, id))}
              />
            ))}
          </fieldset>
        )}
        <Check
          label={asOf === null ? "Freeze it as it is" : `Frozen as of ${asOf}`}
          checked={asOf !== null}
          onChange={() => onFreeze(asOf === null)}
        />
        <p className="text-faint text-sm md:col-span-2">
          It follows this desk, and shows nothing that the customer may not see. It goes blank when the deal
          is left.
        </p>
      </div>
    </Panel>
  );
}

function toggled<Item>(set: ReadonlySet<Item>, item: Item): ReadonlySet<Item> {
  const next = new Set(set);
  if (!next.delete(item)) next.add(item);
  return next;
}
