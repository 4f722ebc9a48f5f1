import type { CalledOption } from "../options/use-options";

type Props = {
  options: readonly CalledOption[];
  ticked: readonly string[];
  onTick: (ids: readonly string[]) => void;
};

/** Of which options papers are: a proposal of all that are ticked, every other of the first. */
export function TickedOptions({ options, ticked, onTick }: Props) {
  const [first] = options.filter(({ id }) => ticked[0] === id);
  return (
    <fieldset className="grid gap-0.5">
      <legend className="font-semibold text-sm">Options on the papers</legend>
      {options.map(({ id, called }) => (
        <label key={id} className="flex items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="checkbox checkbox-xs bg-base-100"
            checked={ticked.includes(id)}
            // A paper is of one at least.
            disabled={ticked.length === 1 && ticked.includes(id)}
            onChange={({ target }) =>
              onTick(target.checked ? [...ticked, id] : ticked.filter(each => each !== id))
            }
          />
          {called}
        </label>
      ))}
      <button
        type="button"
        className="min-h-6 cursor-pointer justify-self-start text-primary text-sm underline"
        onClick={() => onTick([...ticked, ...options.map(({ id }) => id).filter(id => !ticked.includes(id))])}
      >
        Tick all
      </button>
      {ticked.length > 1 && (
        <p className="text-faint text-sm">
          The proposal has them side by side; every other paper is of {first?.called}.
        </p>
      )}
    </fieldset>
  );
}
