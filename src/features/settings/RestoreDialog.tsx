import { useEffect, useRef } from "react";

/** What is to be restored: a file, or the name of a copy; and what it is called in a sentence. */
export type Wanted = { backup: File | string; called: string };

type Props = { wanted: Wanted | null; onRestore: (wanted: Wanted) => void; onCancel: () => void };

/** Asked before all that is kept gives way to a backup. */
export function RestoreDialog({ wanted, onRestore, onCancel }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    if (wanted) dialog.current?.showModal();
    else dialog.current?.close();
  }, [wanted]);
  return (
    <dialog ref={dialog} className="modal" aria-labelledby="restore-title" onClose={onCancel}>
      <div className="modal-box">
        <h2 id="restore-title" className="font-semibold text-xl">
          Restore {wanted?.called}?
        </h2>
        <p className="mt-1">
          All that is kept now gives way to it: deals, stock and settings. A copy of what is kept now is made
          first, and stands in the list.
        </p>
        <div className="mt-4 flex flex-wrap gap-2">
          <button
            type="button"
            className="btn btn-primary btn-sm"
            onClick={() => wanted && onRestore(wanted)}
          >
            Restore it
          </button>
          <form method="dialog" className="ml-auto">
            <button type="submit" className="btn btn-ghost btn-sm">
              Leave everything as it is
            </button>
          </form>
        </div>
      </div>
    </dialog>
  );
}
