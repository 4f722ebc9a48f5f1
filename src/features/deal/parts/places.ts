/** The element ids of places that are gone to by name. */
export const WISH_FIELD = "wish";
export const MORE_OPTIONS = "more-options";
