import { FileDown, MonitorUp } from "lucide-react";
import { lazy, memo, Suspense, useEffect, useState } from "react";
import { useKeys } from "@/features/focus/use-keys";
import type { SaveStatus } from "@/features/saving/autosave";
import { SaveStatusLine } from "@/features/saving/SaveStatusLine";
import type { CustomerAsk } from "./customer/CustomerDesk";
import { DealStatusField } from "./DealStatusField";
import { useFrame } from "./desk/desk-context";
import { deskDocument } from "./desk/desk-state";
import { AnythingButton } from "./palette/AnythingButton";
import { savedNow } from "./papers/saved-now";

// A deal begins with nothing to undo.
const UndoRedo = lazy(() =>
  import("./desk/UndoRedo").then(({ UndoRedo: buttons }) => ({ default: buttons })),
);

// Papers come last.
const PapersMenu = lazy(() =>
  import("./papers/PapersMenu").then(({ PapersMenu: menu }) => ({ default: menu })),
);

// Another screen is for when the customer sits there.
const CustomerDesk = lazy(() =>
  import("./customer/CustomerDesk").then(({ CustomerDesk: desk }) => ({ default: desk })),
);

const SCREEN = <MonitorUp size={16} aria-hidden="true" />;
const EXPORT = <FileDown size={16} aria-hidden="true" />;

type Props = {
  dealId: string;
  /** What files of the deal are named by. */
  fileName: string;
  status: SaveStatus;
  /** Who else has it open, in words. */
  others: string;
  /** Whether something typed cannot be read. */
  isUnreadable: boolean;
  /** Whether there was ever something to undo. */
  hasSteps: boolean;
  /** On a narrow screen: whether it is shown. */
  isOpen: boolean;
};

/** How the deal stands, whether it is saved, and what can be done with all of it. */
export const DealTools = memo(function DealTools(props: Props) {
  const { dealId, fileName, status, others, isUnreadable, hasSteps, isOpen } = props;
  const { now } = useFrame();
  const [hasPapers, setPapers] = useState(false);
  const [asked, setAsked] = useState<CustomerAsk>();
  const ask = (what: CustomerAsk["what"]) => setAsked({ what, count: (asked?.count ?? 0) + 1 });
  useKeys(event => {
    if (event.key !== "F9") return;
    event.preventDefault();
    ask("here");
  });
  useEffect(() => {
    savedNow.dealId = dealId;
    savedNow.version = status.kind === "saved" ? status.version : undefined;
  }, [dealId, status]);
  return (
    <div
      className={`mb-2 flex flex-wrap items-center gap-x-2 gap-y-2 [grid-area:tools] print:hidden md:ml-3 md:flex-nowrap ${isOpen ? "" : "max-md:hidden"}`}
    >
      <DealStatusField />
      <div className="flex w-[4.25rem] shrink-0">
        {hasSteps && (
          <Suspense fallback={null}>
            <UndoRedo dealId={dealId} />
          </Suspense>
        )}
      </div>
      <div className="min-w-28">
        <SaveStatusLine status={status} unreadable={isUnreadable} />
        {/* Always there, so that a reader hears of what comes into it. */}
        <p aria-live="polite" data-others className="max-w-32 text-warning text-xs leading-none">
          {others}
        </p>
      </div>
      <button
        type="button"
        className="btn btn-ghost btn-sm px-2"
        title="Export the deal as a file"
        onClick={async () => {
          // Written now and then: the screen starts without the code for it.
          const { saveDealFile } = await import("./desk/save-deal-file");
          await saveDealFile(fileName, deskDocument(now()));
        }}
      >
        {EXPORT}
        <span className="sr-only">Export deal</span>
      </button>
      <div className="relative">
        <button
          type="button"
          className="btn btn-ghost btn-sm px-2"
          data-customer-screen
          title="Customer screen (F9)"
          onClick={() => ask("panel")}
        >
          {SCREEN}
          <span className="sr-only">Customer screen</span>
        </button>
        {asked && (
          <Suspense fallback={null}>
            <CustomerDesk dealId={dealId} asked={asked} />
          </Suspense>
        )}
      </div>
      <div className="relative">
        <button
          type="button"
          className="btn btn-ghost btn-sm px-2"
          data-papers
          aria-expanded={hasPapers}
          onClick={() => setPapers(!hasPapers)}
        >
          Papers
        </button>
        {hasPapers && (
          <Suspense fallback={null}>
            <PapersMenu dealId={dealId} status={status} onClose={() => setPapers(false)} />
          </Suspense>
        )}
      </div>
      <AnythingButton />
    </div>
  );
});
