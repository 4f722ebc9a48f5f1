/** The element ids of places that are gone to by name. */
export const WISH_FIELD = "wish";
export const MORE_OPTIONS = "more-options";

/** Where the deal's notes are typed. */
export const NOTES_FIELD = "notes";

/** What the found figure is found from. */
export const FOUND_FROM = "[data-found-from] input";
