import type { PaymentGroup } from "@/core";
import type { Block, PaperRow } from "../../paper-parts/paper";
import type { CostAsked } from "./paper-kind";

/** What a cost paper says of itself before all else. */
export const estimateOf = (creditor: string, what: string): Block => ({
  kind: "paragraph",
  spans: [
    { strong: "Estimate." },
    ` ${creditor || "The house"} works out here what the ${what} costs. It is not the creditor’s own disclosure, which comes with the contract.`,
  ],
});

/** What there would be on a paper, and is not, because nobody has said it. */
export const notOnPaper = (names: readonly string[]): Block[] =>
  names.length > 0
    ? [{ kind: "paragraph", size: "small", spans: [`Not on this paper: ${names.join("; ")}.`] }]
    : [];

/** Payments in rows of equal ones: how many, of how much, and when they are due. */
export function scheduleBlock(
  name: string,
  groups: readonly PaymentGroup[],
  every: string,
  { write, amount }: Pick<CostAsked, "write" | "amount">,
): Block {
  const when = ({ count, from, to, firstDate, kind }: PaymentGroup) => {
    if (firstDate === null) return count > 1 ? `payments ${from} to ${to}, ${every}` : `with payment ${from}`;
    const days = count > 1 ? `${every} from ${write.date(firstDate)}` : `on ${write.date(firstDate)}`;
    return kind === "payment" ? days : `${days} (${kind})`;
  };
  const rows = groups.map(
    (group): PaperRow => ({
      kind: "line",
      cells: [String(group.count), when(group), amount(group.amount), amount(group.count * group.amount)],
    }),
  );
  const count = groups.reduce((sum, group) => sum + group.count, 0);
  const total = groups.reduce((sum, group) => sum + group.count * group.amount, 0);
  return {
    kind: "table",
    name,
    headings: ["Number of payments", "When due", "Amount of each", "Together"],
    words: 2,
    rows: [...rows, { kind: "total", cells: [String(count), "in all", "", amount(total)] }],
  };
}
