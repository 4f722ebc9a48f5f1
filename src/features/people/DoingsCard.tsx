import { FileDown } from "lucide-react";
import { useCallback, useEffect, useState } from "react";
import type { Notation } from "@/exchange/notation";
import type { Person } from "@/exchange/people";
import { peopleApi } from "@/features/api/people";
import { reasonOf } from "@/features/api/reason-of";
import { whenText } from "@/features/figures/when";
import type { DoingsReply } from "@/server/contract";
import { ColumnHeads } from "./ColumnHeads";

type Props = { people: readonly Person[]; notation: Notation };
type Asked = { who: string; from: string; to: string };

const EVERYTHING: Asked = { who: "", from: "", to: "" };

const queryOf = (asked: Asked, before?: string | null) => {
  const said = Object.entries({ ...asked, before: before ?? "" }).filter(([, value]) => value !== "");
  return said.length > 0 ? `?${new URLSearchParams(said)}` : "";
};

/** Who did what, when and from where: for managers to read, and for nobody to change. */
export function DoingsCard({ people, notation }: Props) {
  const [asked, setAsked] = useState(EVERYTHING);
  const [reply, setReply] = useState<DoingsReply | null>(null);
  const [trouble, setTrouble] = useState("");
  const load = useCallback(async (of: Asked, before: string | null = null) => {
    const answer = await peopleApi.doings(queryOf(of, before));
    setTrouble(answer.kind === "done" ? "" : reasonOf(answer));
    if (answer.kind !== "done") return;
    const { doings, next } = answer.value;
    setReply(shown => ({ doings: before && shown ? [...shown.doings, ...doings] : doings, next }));
  }, []);
  useEffect(() => void load(asked), [asked, load]);
  const put = (change: Partial<Asked>) => setAsked({ ...asked, ...change });
  return (
    <section aria-labelledby="doings-title" className="card-paper min-w-0 px-4 py-3">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
        <h2 id="doings-title" className="font-semibold text-lg">
          Who did what
        </h2>
        <select
          aria-label="By whom"
          className="field ml-auto w-auto [field-sizing:content]"
          value={asked.who}
          onChange={({ target }) => put({ who: target.value })}
        >
          <option value="">By anybody</option>
          {people.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        {(["from", "to"] as const).map(end => (
          <label key={end} className="flex items-center gap-1 text-faint text-sm">
            {end === "from" ? "From" : "To"}
            <input
              type="date"
              className="field w-36"
              value={asked[end]}
              onChange={({ target }) => put({ [end]: target.value })}
            />
          </label>
        ))}
        <a
          className="btn btn-sm h-8.5"
          href={`/api/doings/table${queryOf(asked)}`}
          download="Who did what.xlsx"
        >
          <FileDown size={16} aria-hidden="true" />
          XLSX
        </a>
      </div>
      <p role="alert" className="text-error">
        {trouble}
      </p>
      {reply?.doings.length === 0 && <p className="mt-2 text-faint">Nothing is noted of that.</p>}
      {reply && reply.doings.length > 0 && (
        <div className="mt-2 overflow-x-auto">
          <table className="w-full text-sm">
            <ColumnHeads names={["When", "Who", "What", "From"]} />
            <tbody>
              {reply.doings.map(doing => (
                <Line key={doing.id} doing={doing} notation={notation} />
              ))}
            </tbody>
          </table>
        </div>
      )}
      {reply?.next && (
        <button type="button" className="btn btn-sm mt-2" onClick={() => void load(asked, reply.next)}>
          Show earlier ones
        </button>
      )}
    </section>
  );
}

type LineProps = { doing: DoingsReply["doings"][number]; notation: Notation };

function Line({ doing: { at, who, what, deal, person, from }, notation }: LineProps) {
  return (
    <tr className="border-base-300 border-t align-baseline">
      <td className="whitespace-nowrap py-1 pr-3 text-faint tabular-nums">{whenText(at, notation)}</td>
      <td className="whitespace-nowrap py-1 pr-3">{who ?? "nobody"}</td>
      <td className="py-1 pr-3">
        {what}
        {person && <>: {person}</>}
        {deal && (
          <>
            {" "}
            <a className="text-primary underline" href={`/deals/${deal}`}>
              {deal.slice(0, 8)}
            </a>
          </>
        )}
      </td>
      <td className="whitespace-nowrap py-1 text-faint">{from ?? "this machine"}</td>
    </tr>
  );
}
