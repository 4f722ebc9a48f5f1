import type { LeaseQuote } from "@/core";
import { ClosingProof } from "./ScheduleTable";

type Props = { quote: LeaseQuote; money: (minor: number) => string };

/** Says that a lease's table closes: at exactly the residual. */
export function LeaseProof({ quote: { schedule, cost, residual }, money }: Props) {
  const closing = schedule.at(-1)?.balance ?? 0;
  const lost = schedule.reduce((sum, { depreciation }) => sum + depreciation, 0);
  const closes = closing === residual && cost - lost === residual;
  return (
    <ClosingProof
      closes={` at ${money(residual)}`}
      fails={closes ? undefined : `${money(closing)} is left, not ${money(residual)}`}
    />
  );
}
