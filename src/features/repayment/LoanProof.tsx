import type { LoanQuote, PaymentRow } from "@/core";
import { ClosingProof } from "./ScheduleTable";

type Props = {
  quote: Pick<LoanQuote, "loanAmount">;
  rows: readonly PaymentRow[];
  money: (minor: number) => string;
};

/** Says that a loan's table closes: principal adds up to what was lent. */
export function LoanProof({ quote: { loanAmount }, rows, money }: Props) {
  const principal = rows.reduce((sum, row) => sum + row.principal, 0);
  const adds = `principal adds up to ${money(principal)}`;
  return (
    <ClosingProof
      closes={`: ${adds}`}
      fails={principal === loanAmount ? undefined : `${adds}, not ${money(loanAmount)}`}
    />
  );
}
