/** A whole number as a sentence writes it. Example: `wholeText(1200)` is "1,200". */
export function wholeText(whole: number): string {
  return String(whole).replace(/\B(?=(\d{3})+$)/g, ",");
}
