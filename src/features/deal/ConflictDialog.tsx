import { useEffect, useRef } from "react";
import type { DealDocument } from "@/exchange/deal-document";
import { api } from "@/features/api/api";
import { notify } from "@/features/notices/notify";
import type { DealReply } from "@/server/contract";
import { VersionsBeside } from "./history/VersionsBeside";

type Props = {
  mine: DealDocument;
  theirs: DealReply;
  onKeepMine: () => void;
  onTakeTheirs: () => void;
};

/** Two versions of one deal side by side: nothing is lost before the officer has chosen. */
export function ConflictDialog({ mine, theirs, onKeepMine, onTakeTheirs }: Props) {
  const keepBoth = async () => {
    const copy = await api.create(mine);
    if (copy.kind !== "done") {
      const reason = copy.kind === "refused" ? copy.sentence : "The server is away.";
      notify.error(`Your version is not a deal of its own yet. ${reason} Nothing is lost; try again.`);
      return;
    }
    onTakeTheirs();
    notify("Your version is now a deal of its own.", {
      action: { label: "Open it", onClick: () => location.assign(`/deals/${copy.value.id}`) },
    });
  };
  const dialog = useRef<HTMLDialogElement>(null);
  const heading = useRef<HTMLHeadingElement>(null);
  const open = () => {
    dialog.current?.showModal();
    // Not a button: a key that was meant for a field must choose nothing.
    heading.current?.focus();
  };
  useEffect(open, []);

  return (
    <>
      <div
        role="alert"
        className="flex flex-wrap items-center gap-3 rounded-box border border-error px-4 py-2"
      >
        <span>This deal was also changed and saved somewhere else. Your version is kept here, unsaved.</span>
        <button type="button" className="btn btn-sm" onClick={open}>
          See both versions
        </button>
      </div>
      <dialog ref={dialog} className="modal" aria-labelledby="conflict-title">
        <div className="modal-box max-w-3xl">
          <h2 id="conflict-title" ref={heading} tabIndex={-1} className="font-semibold text-xl">
            Two versions of this deal
          </h2>
          <p className="mt-1 text-faint">
            It was changed and saved somewhere else while you were changing it here.
          </p>
          <VersionsBeside
            one={mine}
            other={theirs.document}
            names={["Here, unsaved", "Saved somewhere else"]}
          />
          <div className="sticky bottom-0 mt-3 flex flex-wrap gap-2 bg-base-100 pt-2 pb-1">
            <button type="button" className="btn btn-primary btn-sm" onClick={() => void keepBoth()}>
              Keep both: mine becomes a deal of its own
            </button>
            <button type="button" className="btn btn-sm" onClick={onKeepMine}>
              Save mine over it
            </button>
            <button type="button" className="btn btn-sm" onClick={onTakeTheirs}>
              Take the saved one
            </button>
            <form method="dialog" className="ml-auto">
              <button type="submit" className="btn btn-ghost btn-sm">
                Decide later
              </button>
            </form>
          </div>
        </div>
      </dialog>
    </>
  );
}
