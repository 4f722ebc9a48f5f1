import { type Frequency, periodsPerYear } from "@/core";
import { useIsPrinted } from "./use-is-printed";

/**
 * How many lines of a table are shown: those of its first year where that alone is asked for. Paper has all of them.
 *
 * @param rows the lines, each with the number of its payment
 */
export function useFirstYear(
  rows: readonly { number: number }[],
  frequency: Frequency,
  isFirstAlone: boolean,
): number {
  const isPrinted = useIsPrinted();
  if (!isFirstAlone || isPrinted) return rows.length;
  const most = periodsPerYear(frequency);
  const later = rows.findIndex(({ number }) => number > most);
  return later < 0 ? rows.length : later;
}

/** Shows the whole table. */
export function AllButton({ payments, onAll }: { payments: number; onAll: (() => void) | undefined }) {
  return (
    <button
      type="button"
      className="cursor-pointer font-semibold text-primary text-sm print:hidden"
      onClick={onAll}
    >
      All {payments}
    </button>
  );
}
