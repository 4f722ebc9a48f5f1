/**
 * A text as it is searched and sorted: in small letters, without accents, and without the commas of figures.
 * Example: `searchText("Zoë, 40,700.00")` is "zoe, 40700.00".
 */
export function searchText(text: string): string {
  return text
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replace(/(\d),(?=\d)/g, "$1");
}
