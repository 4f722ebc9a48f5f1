/** Where a part of a plan stands on the screen. */
export const partSelector = (name: string): string => `[data-part="${name}"]`;
