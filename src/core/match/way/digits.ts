/**
 * A number as it is typed with two neighbouring digits swapped, in every way that gives another number of as many digits.
 *
 * @param typed digits with at most one point
 * @example swappedDigits("7.25") // ["2.75", "7.52"]
 */
export function swappedDigits(typed: string): string[] {
  const places = [...typed].flatMap((sign, index) => (sign === "." ? [] : [index]));
  const swapped = places.slice(1).map((place, index) => {
    const before = places[index] ?? 0;
    const signs = [...typed];
    [signs[before], signs[place]] = [typed[place] ?? "", typed[before] ?? ""];
    return signs.join("");
  });
  return [...new Set(swapped)].filter(
    each => each !== typed && !(each.startsWith("0") && !typed.startsWith("0")),
  );
}
