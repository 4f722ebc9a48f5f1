import { useEffect, useState } from "react";
import { browserStorage, closedPages } from "@/features/saving/browser-pages";
import { type PendingChange, pendingChanges } from "@/features/saving/pending-changes";

/** Says which deals have changes of a closed page that the server never confirmed; opening one saves them. */
export function WaitingChanges() {
  const [waiting, setWaiting] = useState<PendingChange[]>([]);
  useEffect(() => {
    const changes = pendingChanges(browserStorage);
    void closedPages(changes.map(change => change.pageId)).then(closed =>
      setWaiting(changes.filter(change => closed.has(change.pageId))),
    );
  }, []);
  if (waiting.length === 0) return null;
  return (
    <div role="alert" className="mb-3 rounded-box border border-warning px-4 py-2">
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
