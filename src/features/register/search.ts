import { amountText } from "@/exchange/text";
import { STATUS_NAMES } from "@/features/deal/desk/status-names";
import type { RegisterRow } from "@/server/contract";

/**
 * Whether a deal is meant by a search: each word stands somewhere in its customer, vehicle, status or figures,
 * upper or lower case, with or without accents and the commas of figures.
 */
export function matchesSearch(row: RegisterRow, search: string): boolean {
  const amounts = [row.payment, row.amountFinanced].map(minor =>
    minor === null ? "no answer" : amountText(minor, row.currency),
  );
  const haystack = plain([row.customer, row.vehicle, STATUS_NAMES[row.status], ...amounts].join(" "));
  return plain(search)
    .split(/\s+/)
    .every(word => haystack.includes(word));
}

function plain(text: string): string {
  return text
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replace(/(\d),(?=\d)/g, "$1");
}
