/** A text with its first letter large. Example: `capital("cash down")` is "Cash down". */
export const capital = (text: string): string => text.replace(/^./, first => first.toUpperCase());
