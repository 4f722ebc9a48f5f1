import { useEffect } from "react";

/** While something typed cannot be read, and so is not kept, the browser asks before the page is left. */
export function useAskBeforeLeaving(isUnread: boolean): void {
  useEffect(() => {
    if (!isUnread) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener("beforeunload", ask);
    return () => window.removeEventListener("beforeunload", ask);
  }, [isUnread]);
}
