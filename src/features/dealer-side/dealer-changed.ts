/** Said to the page once the server itself has changed the dealer's part of its deal. */
export const DEALER_CHANGED = "kellux-dealer-changed";
