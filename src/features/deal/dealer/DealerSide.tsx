import { useEffect, useState } from "react";
import { nameOf } from "@/exchange/deal-document";
import { costedLines, type Dealer, type DealerOfOption } from "@/exchange/dealer";
import { withOptional } from "@/exchange/members";
import { dealerApi } from "@/features/api/dealer";
import { whenText } from "@/features/figures/when";
import { SaveStatusLine } from "@/features/saving/SaveStatusLine";
import type { HistoryReply } from "@/server/contract";
import { useDesk } from "../desk/desk-context";
import { deskDocument } from "../desk/desk-state";
import { saveDealFile } from "../desk/save-deal-file";
import { useNotation } from "../option/option-context";
import { CostField } from "./CostField";
import { useDealerPart } from "./use-dealer-part";

/**
 * What the customer never sees of the open option: what the vehicle and its lines cost the dealer. It is asked for when it is
 * opened, and gone from the page when another view is.
 */
export function DealerSide({ dealId }: { dealId: string }) {
  const { state, show } = useDesk();
  const { notation } = useNotation();
  const { dealer, status, change, keepMine, takeTheirs } = useDealerPart(dealId);
  const document = deskDocument(state);
  const option = document.options.find(({ id }) => id === state.open) ?? document.options[0];
  if (!option) return null;
  const { currency } = option.inputs;
  const known: DealerOfOption = dealer?.options?.[option.id] ?? {};
  const put = (next: DealerOfOption) =>
    change({ ...dealer, options: { ...dealer?.options, [option.id]: next } });
  const lines = costedLines(option);
  const field = (label: string, amount: string | number | undefined, onChange: (to?: string) => void) => (
    <CostField key={`${option.id} ${label}`} {...{ label, amount, currency, notation, onChange }} />
  );
  return (
    // What is printed may be handed over.
    <section aria-labelledby="dealer-side-title" className="card-paper px-4 py-2.5 print:hidden">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <h2 id="dealer-side-title" className="font-semibold text-lg">
          Dealer’s side
        </h2>
        <span className="text-faint text-sm">{currency}, not on the page while it is closed</span>
        <span className="grow" />
        <SaveStatusLine status={status} unreadable={false} />
        <button
          type="button"
          className="btn btn-ghost btn-sm"
          onClick={() =>
            void saveDealFile(`${nameOf(document.customer) || "New deal"} with costs`, document, dealer)
          }
        >
          Export with costs
        </button>
        <button type="button" className="btn btn-sm" onClick={() => show("desk")}>
          Close
        </button>
      </div>
      {status.kind === "conflict" && (
        <p role="alert" className="flex flex-wrap items-center gap-3 text-error">
          Somebody else has changed the same figure meanwhile.
          <button type="button" className="btn btn-sm" onClick={() => keepMine(status.theirs)}>
            Keep mine
          </button>
          <button type="button" className="btn btn-sm" onClick={() => takeTheirs(status.theirs)}>
            Take theirs
          </button>
        </p>
      )}
      {!dealer && <p className="py-1 text-faint">Opening …</p>}
      {dealer && (
        <div className="mt-1 grid max-w-lg grid-cols-[1fr_9rem] items-baseline gap-x-3 gap-y-1">
          <span>Cost of the vehicle</span>
          {field("Cost of the vehicle", known.cost, cost => put(withOptional(known, "cost", cost)))}
          {lines.map(({ id, words }) => {
            const label = words.replace(/^./, first => first.toUpperCase());
            return [
              <span key={`name ${id}`}>{label}</span>,
              field(label, known.costs?.[id], cost =>
                put({ ...known, costs: withOptional(known.costs ?? {}, id, cost) }),
              ),
            ];
          })}
        </div>
      )}
      {dealer && <DealerHistory dealId={dealId} dealer={dealer} />}
    </section>
  );
}

/** What was changed of it, the latest first. */
function DealerHistory({ dealId, dealer }: { dealId: string; dealer: Dealer }) {
  const { notation } = useNotation();
  const [changes, setChanges] = useState<HistoryReply["changes"]>([]);
  const [isOpen, setOpen] = useState(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: with each change there is more to tell.
  useEffect(() => {
    if (!isOpen) return;
    void dealerApi.history(dealId).then(answer => {
      if (answer.kind === "done") setChanges(answer.value.changes.filter(({ part }) => part === "dealer"));
    });
  }, [dealId, isOpen, dealer]);
  return (
    <details className="mt-2 text-sm" onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="cursor-pointer text-primary">What was changed here</summary>
      <ol>
        {changes.map(({ number, at, words }) => (
          <li key={number}>
            <span className="text-faint">{whenText(at, notation)}</span> {words}
          </li>
        ))}
        {changes.length === 0 && <li className="text-faint">Nothing yet</li>}
      </ol>
    </details>
  );
}
