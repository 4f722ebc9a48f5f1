import { Check, LoaderCircle, TriangleAlert } from "lucide-react";
import type { ReactNode } from "react";
import type { SaveStatus } from "./autosave";

/** Says saving, saved, or not saved and why. */
export function SaveStatusLine({ status, unreadable }: { status: SaveStatus<unknown>; unreadable: boolean }) {
  const { tone, icon, text } = sayStatus(status, unreadable);
  return (
    <p
      role="status"
      className={`flex min-w-28 items-center gap-1.5 text-sm ${tone}`}
      data-testid="save-status"
    >
      {icon}
      <span>{text}</span>
    </p>
  );
}

const ICON = { size: 16, "aria-hidden": true } as const;

function sayStatus(
  status: SaveStatus<unknown>,
  unreadable: boolean,
): { tone: string; icon: ReactNode; text: string } {
  const trouble = { tone: "text-error", icon: <TriangleAlert {...ICON} /> };
  switch (status.kind) {
    case "saving":
      return { tone: "text-faint", icon: <LoaderCircle {...ICON} />, text: "Saving…" };
    case "saved":
      return unreadable
        ? {
            tone: "text-warning",
            icon: <TriangleAlert {...ICON} />,
            text: "Saved, but for what cannot be read",
          }
        : { tone: "text-success", icon: <Check {...ICON} />, text: `Saved ${clock(status.at)}` };
    case "away":
      return {
        tone: "text-warning",
        icon: <TriangleAlert {...ICON} />,
        text: "Not saved: the server is away. Kept here, saved when it is back.",
      };
    case "failing":
      return { ...trouble, text: `Not saved: ${status.sentence} Kept here, tried again.` };
    case "conflict":
      return { ...trouble, text: "Not saved: changed somewhere else." };
    case "deleted":
      return { ...trouble, text: "This deal was deleted." };
    case "refused":
      return { ...trouble, text: `Not saved: ${status.sentence}` };
  }
}

function clock(instant: string): string {
  return new Date(instant).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });
}
