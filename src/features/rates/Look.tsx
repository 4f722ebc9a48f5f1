import { inNotation, type Notation } from "@/exchange/notation";
import type { RatesChanges } from "@/exchange/rates/rates-changes";

type Props = {
  name: string;
  changes: RatesChanges;
  notation: Notation;
  onTake: () => void;
  onLeave: () => void;
};

/** What taking in a file would change, before it is taken in. */
export function Look({ name, changes, notation, onTake, onLeave }: Props) {
  const { added, changed, gone, same } = changes;
  const isNothing = added.length + changed.length + gone.length === 0;
  return (
    <section aria-labelledby="look-title" className="card-paper border-2 border-primary px-4 py-3">
      <h2 id="look-title" className="font-semibold text-lg">
        What {name} would change
      </h2>
      {isNothing && <p>Nothing: all its programs are here as they are.</p>}
      <div className="mt-1 flex max-h-96 flex-col gap-2 overflow-auto">
        <Named title="New" names={added} />
        {changed.length > 0 && (
          <div>
            <h3 className="font-semibold">Changed: {changed.length}</h3>
            <ul>
              {changed.map(({ lender, program, what }) => (
                <li key={`${lender} ${program}`}>
                  {lender} · {program}:{" "}
                  <span className="text-faint">{inNotation(what.join("; "), notation)}</span>
                </li>
              ))}
            </ul>
          </div>
        )}
        <Named title="Gone" names={gone} />
        {same > 0 && !isNothing && <p className="text-faint">As it was: {same}</p>}
      </div>
      <div className="mt-3 flex gap-2">
        {!isNothing && (
          <button type="button" className="btn btn-primary btn-sm" onClick={onTake}>
            Take it in
          </button>
        )}
        <button type="button" className="btn btn-sm" onClick={onLeave}>
          {isNothing ? "Close" : "Leave it"}
        </button>
      </div>
    </section>
  );
}

function Named({ title, names }: { title: string; names: RatesChanges["gone"] }) {
  if (names.length === 0) return null;
  return (
    <div>
      <h3 className="font-semibold">
        {title}: {names.length}
      </h3>
      <ul>
        {names.map(({ lender, program }) => (
          <li key={`${lender} ${program}`}>
            {lender} · {program}
          </li>
        ))}
      </ul>
    </div>
  );
}
