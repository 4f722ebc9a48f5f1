import { formatAmount, type Income, type Quote } from "@/core";

/** What a deal earns, as plain JSON for programs: amounts as decimal strings; null where a figure is not known. */
export function incomeJson(
  { front, back, reserve, total, officerShare, notes }: Income,
  { decimals }: Quote,
) {
  const money = (minor: number | null) => (minor === null ? null : formatAmount(minor, decimals));
  return {
    front: money(front.total),
    back: money(back.total),
    reserve: money(reserve?.amount ?? null),
    total: money(total),
    officerShare: money(officerShare),
    ...(notes.length > 0 && { note: notes.join(" ") }),
  };
}
