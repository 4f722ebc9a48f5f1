import { useEffect, useState } from "react";
import { changesLeftBehind } from "@/features/saving/left-behind";
import type { PendingChange } from "@/features/saving/pending-changes";

/**
 * Says which deals have changes of a closed page that the server never confirmed; opening one saves them. It comes a moment
 * after the list, and under it: no row moves away from a press.
 */
export function WaitingChanges() {
  const [waiting, setWaiting] = useState<PendingChange[]>([]);
  useEffect(() => {
    void changesLeftBehind().then(setWaiting);
  }, []);
  if (waiting.length === 0) return null;
  return (
    <div
      role="alert"
      className="sticky bottom-4 z-20 mt-3 rounded-box border border-warning bg-base-100 px-4 py-2 shadow-md"
    >
      Changes that could not be saved are kept here; open the deal to save them:{" "}
      {waiting.map((change, index) => (
        <span key={change.pageId}>
          {index > 0 && ", "}
          <a className="text-primary underline" href={`/deals/${change.dealId}`}>
            {change.customer || "no name yet"}
          </a>
        </span>
      ))}
      .
    </div>
  );
}
