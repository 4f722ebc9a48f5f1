/** A name without capitals and spaces: two that are the same then are one. */
export const plainName = (name: string): string => name.toLowerCase().replace(/\s+/g, "");
