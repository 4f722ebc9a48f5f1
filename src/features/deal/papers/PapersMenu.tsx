import { useEffect, useState } from "react";
import { PAPER_KINDS, type PaperName } from "@/exchange/papers/paper-kinds";
import { fetchPaper } from "@/features/api/papers";
import { localToday } from "@/features/figures/today";
import { focusSoon } from "@/features/focus/focus-soon";
import type { SaveStatus } from "@/features/saving/autosave";
import { useOptions } from "../options/use-options";

type Props = { dealId: string; status: SaveStatus; onClose: () => void };

const SAYS: Record<PaperName, string> = {
  proposal: "One page: the deal in a sentence, what is owed over time, lines to sign on.",
  repaymentTable: "Every payment, with the sums of its years.",
  paymentCalendar: "Each due date with its amount, for a calendar; taken in again it moves its days.",
};

/** What leaves the desk on paper, of the open option or of all of them; or why nothing can. */
export function PapersMenu({ dealId, status, onClose }: Props) {
  useEffect(() => {
    const onKey = ({ key }: KeyboardEvent) => {
      if (key !== "Escape") return;
      onClose();
      focusSoon("[data-papers]");
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [onClose]);
  return (
    <section
      aria-label="Papers"
      className="absolute right-0 z-30 w-72 rounded-box border border-base-300 bg-base-100 p-3 shadow-sm max-md:fixed max-md:inset-x-3 max-md:w-auto"
    >
      <Papers dealId={dealId} status={status} />
    </section>
  );
}

function Papers({ dealId, status }: Omit<Props, "onClose">) {
  const options = useOptions();
  const [trouble, setTrouble] = useState("");
  const [isBusy, setBusy] = useState(false);
  const open = options.find(({ isOpen }) => isOpen);
  const answered = options.filter(({ state }) => state.answer.ok);
  const why = whyNone(status, open?.state.answer.ok ?? false);
  const version = status.kind === "saved" ? status.version : undefined;
  const make = async (name: PaperName, ids: readonly string[]) => {
    if (version === undefined) return;
    setBusy(true);
    setTrouble(await fetchPaper(dealId, { name, options: ids, version, day: localToday() }));
    setBusy(false);
  };
  if (why || !open) return <p className="text-sm">{why}</p>;
  const others = answered.filter(({ id }) => id !== open.id);
  return (
    <div className="grid gap-2">
      {(Object.keys(PAPER_KINDS) as PaperName[]).map(name => (
        <div key={name}>
          <button
            type="button"
            className="btn btn-sm w-full justify-start"
            disabled={isBusy}
            onClick={() => void make(name, [open.id])}
          >
            {PAPER_KINDS[name].name} ({PAPER_KINDS[name].ending === "pdf" ? "PDF" : "iCalendar"})
          </button>
          <p className="mt-0.5 text-faint text-sm">{SAYS[name]}</p>
        </div>
      ))}
      {others.length > 0 && (
        <button
          type="button"
          className="btn btn-sm justify-start"
          disabled={isBusy}
          onClick={() => void make("proposal", [open.id, ...others.map(({ id }) => id)])}
        >
          Proposal with all {answered.length} options (PDF)
        </button>
      )}
      <p role="status" className="text-error text-sm">
        {trouble}
      </p>
    </div>
  );
}

/** Why there are no papers just now; nothing where there are. */
function whyNone(status: SaveStatus, isAnswered: boolean): string {
  if (!isAnswered) return "There are no papers of an option without an answer.";
  if (status.kind === "saving") return "The deal is being saved; its papers are made of what is saved.";
  if (status.kind !== "saved") return "The deal is not saved, and papers are made of what is saved.";
  return "";
}
