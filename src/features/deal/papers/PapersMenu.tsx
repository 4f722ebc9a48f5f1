import { useState } from "react";
import { nameOf } from "@/exchange/deal-document";
import { PAPER_FACTS, PAPER_NAMES, type PaperName } from "@/exchange/papers/paper-kinds";
import { fetchPaper, type OptionsAsked } from "@/features/api/papers";
import { localToday } from "@/features/figures/today";
import { focusSoon } from "@/features/focus/focus-soon";
import { useKeys } from "@/features/focus/use-keys";
import type { SaveStatus } from "@/features/saving/autosave";
import { useDesk } from "../desk/desk-context";
import { deskDocument } from "../desk/desk-state";
import { saveCustomersFile } from "../desk/save-deal-file";
import { useOptions } from "../options/use-options";
import { LetterLine } from "./LetterLine";
import { PaperLine } from "./PaperLine";
import { Preview } from "./Preview";
import { TickedOptions } from "./TickedOptions";
import { UseOfDeal } from "./UseOfDeal";
import { usePapersSeen } from "./use-papers-seen";

type Props = { dealId: string; status: SaveStatus; onClose: () => void };

/** What leaves the desk on paper, of the open option or of those that are ticked; or why nothing can. */
export function PapersMenu({ dealId, status, onClose }: Props) {
  useKeys(({ key }) => {
    if (key !== "Escape") return;
    onClose();
    focusSoon("[data-papers]");
  });
  return (
    <section
      aria-label="Papers"
      className="absolute right-0 z-30 flex max-h-[calc(100dvh-6rem)] w-max max-w-[calc(100vw-2rem)] gap-3 rounded-box border border-base-300 bg-base-100 p-3 shadow-sm max-md:fixed max-md:inset-x-3 max-md:bottom-3 max-md:w-auto max-md:flex-col max-md:overflow-y-auto"
    >
      <Papers dealId={dealId} status={status} />
    </section>
  );
}

function Papers({ dealId, status }: Omit<Props, "onClose">) {
  const { state } = useDesk();
  const options = useOptions();
  const answered = options.filter(option => option.state.answer.ok);
  const open = answered.find(({ isOpen }) => isOpen);
  const [picked, setPicked] = useState<readonly string[]>();
  const [trouble, setTrouble] = useState("");
  const [isBusy, setBusy] = useState(false);
  const [looked, setLooked] = useState<PaperName>();
  const version = status.kind === "saved" ? status.version : undefined;
  const ticked = picked?.filter(id => answered.some(option => option.id === id)) ?? [];
  const ids = ticked.length > 0 ? ticked : open ? [open.id] : [];
  const asked: OptionsAsked | null =
    version === undefined || ids.length === 0 ? null : { options: ids, version, day: localToday() };
  const seen = usePapersSeen(dealId, asked);
  const [first] = ids;
  const hasTried = first !== undefined && state.asides?.options?.[first]?.early !== undefined;
  const make = async (name: PaperName, details?: Record<string, string>) => {
    if (!asked) return;
    setBusy(true);
    setTrouble(await fetchPaper(dealId, name, details ? { ...asked, details } : asked));
    setBusy(false);
  };
  if (!open && ids.length === 0)
    return <p className="w-72 text-sm">There are no papers of an option without an answer.</p>;
  const lineOf = (name: PaperName) => ({
    facts: PAPER_FACTS[name],
    none: seen?.none[name],
    isDisabled: isBusy || !asked,
    isLookedAt: looked === name,
  });
  const paper = (name: PaperName) => (
    <PaperLine
      key={name}
      {...lineOf(name)}
      onMake={() => void make(name)}
      onLook={PAPER_FACTS[name].ending === "pdf" ? () => setLooked(name) : undefined}
    />
  );
  return (
    <>
      <div className="grid w-80 shrink-0 content-start gap-2 md:overflow-y-auto max-md:w-full">
        {answered.length > 1 && <TickedOptions options={answered} ticked={ids} onTick={setPicked} />}
        <UseOfDeal />
        {BEFORE_TRIED.map(paper)}
        {hasTried && (
          <PaperLine
            {...lineOf("repaymentTable")}
            facts={{
              ...PAPER_FACTS.repaymentTable,
              name: "Repayment table with what is tried",
              says: "With the extra payments that are tried, headed “not agreed”.",
            }}
            isLookedAt={false}
            onMake={() => void make("repaymentTable", { tried: "1" })}
          />
        )}
        {AFTER_TRIED.map(paper)}
        <LetterLine
          {...lineOf("letter")}
          none={seen?.none}
          onMake={enclosed => void make("letter", { enclosed: enclosed.join(",") })}
        />
        <div>
          <button
            type="button"
            className="btn btn-sm w-full justify-start"
            onClick={() =>
              void saveCustomersFile(nameOf(state.heading.customer) || "New deal", deskDocument(state))
            }
          >
            Deal file for the customer (JSON)
          </button>
          <p className="mt-0.5 text-faint text-sm">
            What the customer may see, to be opened again: no notes, no budget, nothing of the dealer’s side.
          </p>
        </div>
        {FOR_DESK.map(paper)}
        {seen && seen.undrawn.length > 0 && (
          <p className="text-sm text-warning">
            No font of the papers has {seen.undrawn.join(" ")}: it is left out on them.
          </p>
        )}
        <p role="status" className={`text-sm ${trouble ? "text-error" : "text-faint"}`}>
          {trouble || whyNotNow(status)}
        </p>
      </div>
      {looked && asked && (
        <Preview dealId={dealId} name={looked} asked={asked} onClose={() => setLooked(undefined)} />
      )}
    </>
  );
}

/** In the order of the menu: what is tried stands right after the table of what is agreed. */
const BEFORE_TRIED = PAPER_NAMES.slice(0, PAPER_NAMES.indexOf("repaymentTable") + 1);
const AFTER_TRIED = PAPER_NAMES.filter(
  name => !BEFORE_TRIED.includes(name) && name !== "letter" && !PAPER_FACTS[name].isForDesk,
);
const FOR_DESK = PAPER_NAMES.filter(name => PAPER_FACTS[name].isForDesk);

/** Why no paper can be made just now; nothing where one can. */
function whyNotNow({ kind }: SaveStatus): string {
  if (kind === "saved") return "";
  if (kind === "saving") return "The deal is being saved; its papers are made of what is saved.";
  return "The deal is not saved, and papers are made of what is saved.";
}
