import type { ExternalToast } from "sonner";

/** Something to say that belongs to no place of the screen. */
export type Notice = { kind: "message" | "error" | "success"; text: string; options?: ExternalToast };

const waiting: Notice[] = [];
let show: ((notice: Notice) => void) | undefined;
let wake: (() => void) | undefined;

function say(notice: Notice): void {
  if (show) show(notice);
  else {
    waiting.push(notice);
    wake?.();
  }
}

/** Says something at the edge of the screen. */
export function notify(text: string, options?: ExternalToast): void {
  say({ kind: "message", text, ...(options && { options }) });
}

notify.error = (text: string, options?: ExternalToast) =>
  say({ kind: "error", text, ...(options && { options }) });
notify.success = (text: string) => say({ kind: "success", text });

/** Calls when there is something to say and nobody shows it yet. */
export function onFirstNotice(next: () => void): void {
  wake = next;
  if (waiting.length > 0) next();
}

/** Takes over showing what is said, what has waited first. */
export function showNotices(next: (notice: Notice) => void): () => void {
  show = next;
  for (const notice of waiting.splice(0)) next(notice);
  return () => {
    show = undefined;
  };
}
