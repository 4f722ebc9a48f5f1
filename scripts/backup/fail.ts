/** Says why a program did not do what it was asked for. Gives its exit code. */
export function fail(sentence: string): number {
  console.error(sentence);
  return 1;
}
