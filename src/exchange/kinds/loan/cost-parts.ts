import { chargeColumn, FREQUENCY_NAMES, type LoanQuote, paymentGroups } from "@/core";
import type { Block } from "../../paper-parts/paper";
import { PAID_WITH } from "../../structure/paid-with";
import { scheduleBlock } from "../kind/cost-blocks";
import type { CostAsked } from "../kind/paper-kind";

/** The payments, with what falls with them and counts in the finance charge: they add up to the total of payments. */
export function scheduleOf({ schedule, charges, filled }: LoanQuote, asked: CostAsked): Block {
  const inCharge = charges && chargeColumn(schedule, charges.inFinanceCharge);
  const groups = paymentGroups(
    schedule.map(({ number, date, payment, kind }, index) => ({
      number,
      date,
      amount: payment + (inCharge?.[index] ?? 0),
      kind: kind === "extra" || kind === "balloon" ? kind : "payment",
    })),
  );
  const every = FREQUENCY_NAMES[filled.plan.frequency].adjective;
  return scheduleBlock("Payment schedule", groups, every, asked);
}

/** What falls with payments and is no finance charge. */
export function besides(quote: LoanQuote, { write }: CostAsked): Block[] {
  const names = chargesOf(quote).filter(
    ({ charge }) => charge.paid.startsWith("with") && !charge.isFinanceCharge,
  );
  if (names.length === 0) return [];
  const said = names.map(
    ({ charge, amount }) => `${charge.name}, ${write.money(amount)} ${PAID_WITH[charge.paid] ?? ""}`,
  );
  return [{ kind: "paragraph", spans: [`Besides these payments: ${said.join("; ")}.`] }];
}

/** Fees and extras with what each comes to. */
export function chargesOf({ filled: { structure }, reckoned }: LoanQuote) {
  return (["fees", "extras"] as const).flatMap(list =>
    (structure[list] ?? []).map((charge, index) => ({ charge, amount: reckoned[list][index] ?? 0 })),
  );
}
