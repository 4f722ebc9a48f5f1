/** A text inside a pattern of `like`, where its signs stand for themselves. */
export const escapedPattern = (text: string): string => text.replace(/[\\%_]/g, "\\$&");
