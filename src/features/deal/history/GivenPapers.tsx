import { useState } from "react";
import { isPaperName, PAPER_FACTS } from "@/exchange/papers/paper-kinds";
import { fetchGiven } from "@/features/api/papers";
import { whenText } from "@/features/figures/when";
import type { HistoryReply } from "@/server/contract";
import { useNotation } from "../option/option-context";
import { useOptions } from "../options/use-options";

type Props = { dealId: string; papers: HistoryReply["papers"] };

/** The papers that were given of a deal: the same bytes again, for as long as they are kept. */
export function GivenPapers({ dealId, papers }: Props) {
  const { notation } = useNotation();
  const options = useOptions();
  const [trouble, setTrouble] = useState("");
  return (
    <section aria-labelledby="given-title" className="border-base-300 border-t px-4 py-2">
      <h3 id="given-title" className="font-semibold">
        Papers that were given
      </h3>
      <ul>
        {papers.map(({ id, kind, at, who, optionId, removedAt }) => {
          const name = isPaperName(kind) ? PAPER_FACTS[kind].name : kind;
          const when = whenText(at, notation);
          return (
            <li key={id} className="grid grid-cols-[10.5rem_1fr_auto] items-baseline gap-3 py-0.5">
              <span className="text-faint text-sm">
                {when}
                {who && <span className="block">{who}</span>}
              </span>
              <span>
                {name}
                {options.length > 1 && (
                  <span className="text-faint text-sm">
                    {" "}
                    {optionId === null
                      ? "of several options"
                      : `of ${options.find(option => option.id === optionId)?.called ?? "an option that is gone"}`}
                  </span>
                )}
                {removedAt !== null && (
                  <span className="block text-faint text-sm">
                    removed on {whenText(removedAt, notation)}, when it had been kept for as long as the house
                    has settled
                  </span>
                )}
              </span>
              {removedAt === null && (
                <button
                  type="button"
                  className="min-h-6 cursor-pointer text-primary text-sm underline"
                  aria-label={`Fetch again: ${name}, ${when}`}
                  onClick={async () => setTrouble(await fetchGiven(dealId, id))}
                >
                  Fetch again
                </button>
              )}
            </li>
          );
        })}
      </ul>
      <p role="status" className="text-error text-sm">
        {trouble}
      </p>
    </section>
  );
}
