import { useCallback, useEffect, useState } from "react";
import type { DealDocument } from "@/exchange/deal-document";
import { amountIn } from "@/exchange/notation";
import { api } from "@/features/api/api";
import { whenText } from "@/features/figures/when";
import type { HistoryReply } from "@/server/contract";
import { useDesk } from "../desk/desk-context";
import { deskDocument } from "../desk/desk-state";
import { useIsFrozen, useNotation } from "../option/option-context";
import { whenThere } from "../option/use-kinds";
import { GivenPapers } from "./GivenPapers";
import { VersionsBeside } from "./VersionsBeside";

type Change = HistoryReply["changes"][number];
type Opened = { change: Change; document: DealDocument };

/** Every change of the deal in words; any earlier state opens beside the present one, and can be brought back. */
export function History({ dealId }: { dealId: string }) {
  const { state, edit } = useDesk();
  const isFrozen = useIsFrozen();
  const { notation } = useNotation();
  const [history, setHistory] = useState<HistoryReply | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [opened, setOpened] = useState<Opened | null>(null);
  const load = useCallback(async () => {
    const answer = await api.history(dealId);
    if (answer.kind === "done") setHistory(answer.value);
    setProblem(answer.kind === "done" ? null : reasonOf(answer));
  }, [dealId]);
  useEffect(() => void load(), [load]);
  const open = async (change: Change) => {
    const answer = await api.stateAfter(dealId, change.number);
    if (answer.kind !== "done") {
      setProblem(reasonOf(answer));
      return;
    }
    const { document } = answer.value;
    whenThere(
      document.options.map(({ inputs }) => inputs),
      () => setOpened({ change, document }),
    );
  };
  const bringBack = ({ document }: Opened) => {
    // How far the deal is, is not undone with its figures.
    edit(now => ({ ...document, status: now.status }), document.chosen);
    setOpened(null);
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3 lg:flex-row">
      <section aria-labelledby="history-title" className="card-paper min-h-0 overflow-auto lg:w-[32rem]">
        <div className="flex items-baseline gap-3 px-4 py-2">
          <h2 id="history-title" className="font-semibold text-lg">
            History
          </h2>
          <button type="button" className="btn btn-ghost btn-sm ml-auto" onClick={() => void load()}>
            Refresh
          </button>
        </div>
        {problem && <p className="px-4 pb-2 text-error">{problem}</p>}
        {!history && !problem && <p className="px-4 pb-2 text-faint">Opening …</p>}
        {history && history.papers.length > 0 && <GivenPapers dealId={dealId} papers={history.papers} />}
        <ol>
          {history?.changes.map((change, index) => (
            <ChangeLine
              key={change.number}
              change={change}
              before={history.changes.slice(index + 1).find(({ payment }) => payment !== null)}
              currency={history.currency}
              isOpen={opened?.change.number === change.number}
              onOpen={() => void open(change)}
            />
          ))}
        </ol>
      </section>
      {opened ? (
        <section
          aria-label="An earlier state"
          className="card-paper min-h-0 min-w-0 flex-1 overflow-auto px-4 py-2"
        >
          <div className="sticky top-0 flex flex-wrap items-center gap-3 bg-base-100 py-1">
            <h2 className="font-semibold text-lg">As it was on {whenText(opened.change.at, notation)}</h2>
            <span className="grow" />
            {!isFrozen && (
              <button type="button" className="btn btn-primary btn-sm" onClick={() => bringBack(opened)}>
                Bring it back
              </button>
            )}
            <button type="button" className="btn btn-ghost btn-sm" onClick={() => setOpened(null)}>
              Close
            </button>
          </div>
          <p className="text-faint text-sm">
            It is only looked at here. Brought back, it is a new change, which can be undone.
          </p>
          <VersionsBeside one={opened.document} other={deskDocument(state)} names={["Then", "Now"]} />
        </section>
      ) : (
        <p className="px-2 py-3 text-faint">
          Open a change to see the deal as it was after it, beside the present one.
        </p>
      )}
    </div>
  );
}

type LineProps = {
  change: Change;
  before: Change | undefined;
  currency: string;
  isOpen: boolean;
  onOpen: () => void;
};

const KINDS = { begun: "begun", changed: "", signed: "signed", reopened: "reopened" };

function ChangeLine({ change, before, currency, isOpen, onOpen }: LineProps) {
  const { notation, say } = useNotation();
  const money = (minor: number) => amountIn(minor, currency, notation);
  const { payment } = change;
  const former = before?.payment ?? null;
  const moved =
    payment !== null && payment !== former
      ? `payment ${former === null ? "" : `${money(former)} → `}${money(payment)}`
      : "";
  const words = [KINDS[change.kind], say(change.words), moved].filter(Boolean).join(", ");
  return (
    <li className="border-base-300 border-t">
      <button
        type="button"
        aria-expanded={isOpen}
        className={`grid w-full cursor-pointer grid-cols-[10.5rem_1fr] gap-3 px-4 py-1.5 text-left ${isOpen ? "bg-base-200" : ""}`}
        onClick={onOpen}
      >
        <span className="text-faint text-sm">
          {whenText(change.at, notation)}
          {change.who && <span className="block">{change.who}</span>}
        </span>
        <span className={change.kind === "changed" ? "" : "font-semibold"}>{words || "changed"}</span>
      </button>
    </li>
  );
}

const reasonOf = (answer: { kind: "away" } | { sentence: string }) =>
  "sentence" in answer ? answer.sentence : "The server is away; look again when it is back.";
