import { FileDown } from "lucide-react";
import type { ReactNode } from "react";
import type { SaveStatus } from "@/features/saving/autosave";
import { SaveStatusLine } from "@/features/saving/SaveStatusLine";
import { DealStatusField } from "./DealStatusField";
import { useDesk } from "./desk/desk-context";
import { deskDocument } from "./desk/desk-state";
import { hasErrors } from "./option";
import { AnythingButton } from "./palette/AnythingButton";

type Props = {
  status: SaveStatus;
  /** What files of the deal are named by. */
  fileName: string;
  /** On a narrow screen: whether it is shown. */
  isOpen: boolean;
  /** What can be undone. */
  children: ReactNode;
};

/** How the deal stands, whether it is saved, and what can be done with all of it. */
export function DealTools({ status, fileName, isOpen, children }: Props) {
  const { state } = useDesk();
  const isUnreadable = state.options.some(each => hasErrors(each.state.errors));
  return (
    <div
      className={`mb-2 flex flex-wrap items-center gap-x-2 gap-y-2 [grid-area:tools] print:hidden md:ml-3 md:flex-nowrap ${isOpen ? "" : "max-md:hidden"}`}
    >
      <DealStatusField />
      <div className="flex w-[4.25rem] shrink-0">{children}</div>
      <SaveStatusLine status={status} unreadable={isUnreadable} />
      <button
        type="button"
        className="btn btn-ghost btn-sm px-2"
        title="Export the deal as a file"
        onClick={async () => {
          // Written now and then: the screen starts without the code for it.
          const { saveDealFile } = await import("./desk/save-deal-file");
          saveDealFile(fileName, deskDocument(state));
        }}
      >
        <FileDown size={16} aria-hidden="true" />
        <span className="max-xl:sr-only">Export deal</span>
      </button>
      <AnythingButton />
    </div>
  );
}
