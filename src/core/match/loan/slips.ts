import { periodsPerYear } from "../../calendar";
import type { LoanDeal } from "../../kinds/loan";
import { otherTerms, type SlipOf, structureSlips, swappedAmounts, swappedDigits, taxSlips } from "../way";

type LoanSlip = SlipOf<LoanDeal>;

/** What can have been done wrong in a loan. */
export function loanSlips(deal: LoanDeal, cash: number): LoanSlip[] {
  const { structure } = deal;
  const ofStructure = structureSlips(structure, cash).map(
    ({ slip, change }): LoanSlip => ({
      slip,
      change: now => ({ ...now, structure: change(now.structure) }),
    }),
  );
  const ofTaxes = taxSlips(structure.taxes ?? [], {
    parts: [
      "price",
      ...(structure.fees?.length ? (["fees"] as const) : []),
      ...(structure.extras?.length ? (["extras"] as const) : []),
    ],
    hasTradeIns: structure.tradeIns.some(({ allowance }) => (allowance ?? 0) > 0),
    hasRebates: (structure.rebates ?? []).length > 0,
  }).map(
    ({ slip, change }): LoanSlip => ({
      slip,
      change: now => ({
        ...now,
        structure: {
          ...now.structure,
          taxes: change(now.structure.taxes ?? []) as typeof structure.taxes & {},
        },
      }),
    }),
  );
  return [...ofStructure.filter(isNoDigit), ...planSlips(deal), ...ofTaxes, ...ofStructure.filter(isDigit)];
}

const isDigit = ({ slip }: LoanSlip) => slip.slip === "digits";
const isNoDigit = (slip: LoanSlip) => !isDigit(slip);

const withPlan = (change: Partial<LoanDeal["plan"]>) => (deal: LoanDeal) => ({
  ...deal,
  plan: { ...deal.plan, ...change },
});

function planSlips({ plan }: LoanDeal): LoanSlip[] {
  const { balloon, yearlyRate, datedPayments } = plan;
  return [
    ...(balloon
      ? [{ slip: { slip: "balloonForgotten" } as const, change: withPlan({ balloon: null }) }]
      : []),
    ...(datedPayments ? [] : paymentSlips(plan.payments ?? 0, periodsPerYear(plan.frequency))),
    ...swappedDigits(yearlyRate ?? "").map(
      (to): LoanSlip => ({
        slip: { slip: "digits", figure: "yearlyRate", from: yearlyRate ?? "", to },
        change: withPlan({ yearlyRate: to }),
      }),
    ),
    ...(balloon && "amount" in balloon
      ? swappedAmounts(balloon.amount).map(
          (amount): LoanSlip => ({
            slip: { slip: "digits", figure: "balloon", from: String(balloon.amount), to: String(amount) },
            change: withPlan({ balloon: { ...balloon, amount } }),
          }),
        )
      : []),
  ];
}

/** One more or one less, years taken for payments or the other way round, and digits swapped. */
function paymentSlips(payments: number, perYear: number): LoanSlip[] {
  return otherTerms(payments, perYear).map(slip => ({
    slip,
    change: withPlan({ payments: slip.slip === "payments" ? slip.to : Number(slip.to) }),
  }));
}
