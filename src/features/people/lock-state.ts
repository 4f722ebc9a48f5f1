/** Windows of one browser lock and open together. */
export const LOCK_CHANNEL = "kellux.lock";

/** What they tell each other. */
export type LockMessage = "used" | "locked" | "opened";

/** Asked of the page that is in view, by whatever asks for it. */
export const LOCK_ASKED = "kellux:lock";

/** Locks this screen. */
export const lockNow = (): void => void window.dispatchEvent(new Event(LOCK_ASKED));
