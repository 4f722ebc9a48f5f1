import { percentOf } from "../interest";
import type { LeaseDeal } from "../kinds/lease";
import type { LoanDeal, LoanPlan } from "../kinds/loan";
import type { Charge } from "../structure";
import { decimalOf } from "./decimals";
import type { DealFacts } from "./facts";
import type { LeaseProgram, LoanProgram, Months } from "./program";

/** The row of some terms that covers a number of months. */
export const rowAt = <Row extends Months>(rows: readonly Row[], months: number): Row | undefined =>
  rows.find(({ from, to }) => from <= months && months <= to);

/** What a program's fee is called where the customer pays it. */
export const programFeeName = (lender: string): string => `${lender} fee`;

/**
 * A loan as a program has it: its kind, its fee and its balloon, not yet its rate.
 *
 * @param loan a loan that asks for its payment
 * @param months of its term
 */
export function loanWith(
  loan: LoanDeal,
  program: LoanProgram,
  { listPrice }: DealFacts,
  months: number,
): LoanDeal {
  const { structure, plan } = loan;
  const { fee } = program;
  const charged = fee?.paidBy === "customer" ? [feeLine(program.lender, fee)] : [];
  return {
    ...loan,
    structure:
      charged.length > 0 ? { ...structure, fees: [...(structure.fees ?? []), ...charged] } : structure,
    plan: withBalloon(ofKind(plan, program.kind), program, listPrice, months),
  };
}

const feeLine = (lender: string, { amount, isFinanceCharge }: NonNullable<LoanProgram["fee"]>): Charge => ({
  name: programFeeName(lender),
  amount: { minor: amount },
  isTaxable: false,
  paid: "financed",
  isFinanceCharge,
});

/** A plan at a flat rate, or at a nominal one: a flat rate counts equal periods, by no other compounding. */
function ofKind(plan: LoanPlan, kind: LoanProgram["kind"]): LoanPlan {
  if ((plan.kind === "flatRate") === (kind === "flatRate")) return plan;
  const { earning: _earning, compounding: _compounding, dayCount: _count, balloon, ...rest } = plan;
  return { ...rest, kind: kind === "flatRate" ? "flatRate" : "loan", ...(balloon && { balloon }) };
}

/** A balloon program brings its most balloon along where none is agreed. */
function withBalloon(
  plan: LoanPlan,
  { kind, balloon }: LoanProgram,
  listPrice: number | null,
  months: number,
): LoanPlan {
  if (kind !== "balloon" || (plan.balloon ?? null) !== null) return plan;
  const row = rowAt(balloon ?? [], months);
  if (!row) return plan;
  if (row.of === "price") return { ...plan, balloon: { percent: row.most } };
  return listPrice === null
    ? plan
    : { ...plan, balloon: { amount: percentOf(listPrice, decimalOf(row.most), "down") } };
}

/** The residual that a lease program gives for a term and a distance a year; of the least distance where none is agreed. */
export function residualRow({ residuals }: LeaseProgram, { plan }: LeaseDeal, months: number) {
  const distance = plan.distance?.perYear ?? 0;
  return residuals
    .filter(row => row.from <= months && months <= row.to && (row.distance ?? distance) >= distance)
    .sort((one, other) => (one.distance ?? distance) - (other.distance ?? distance))[0];
}

/**
 * A lease as a program has it: its residual, fees and what distance beyond costs, not yet its factor or rate.
 *
 * @param lease a lease that asks for its payment
 * @param months of its term
 */
export function leaseWith(
  lease: LeaseDeal,
  program: LeaseProgram,
  { listPrice }: DealFacts,
  months: number,
): LeaseDeal {
  const { plan } = lease;
  const { acquisitionFee, dispositionFee, purchaseFee, reckoning } = program;
  const row = residualRow(program, lease, months);
  const distance = distanceOf(program, lease, row?.distance ?? null);
  return {
    ...lease,
    listPrice: lease.listPrice ?? listPrice,
    plan: {
      ...plan,
      reckoning,
      ...(row && { residual: { percent: row.percent, of: "listPrice" } }),
      ...(acquisitionFee !== null && {
        acquisitionFee: {
          isFinanced: plan.acquisitionFee?.isFinanced ?? true,
          isTaxable: plan.acquisitionFee?.isTaxable ?? false,
          amount: acquisitionFee,
        },
      }),
      ...(dispositionFee !== null && { dispositionFee }),
      ...(purchaseFee !== null && { purchaseFee }),
      ...(distance && { distance }),
    },
  };
}

function distanceOf({ beyond, unit }: LeaseProgram, { plan }: LeaseDeal, perYear: number | null) {
  const agreed = plan.distance;
  if (agreed) return beyond === null ? agreed : { ...agreed, beyond };
  return perYear === null
    ? undefined
    : { perYear, unit: unit ?? "km", beyond: beyond ?? "0", expected: null };
}

/** A loan, or a lease, at a rate of the unit that its program has. */
export const loanAt = (loan: LoanDeal, yearlyRate: string): LoanDeal => ({
  ...loan,
  plan: { ...loan.plan, yearlyRate },
});

export function leaseAt(lease: LeaseDeal, rate: string): LeaseDeal {
  const { plan } = lease;
  const byFactor = plan.reckoning === "moneyFactor";
  return {
    ...lease,
    plan: { ...plan, moneyFactor: byFactor ? rate : null, yearlyRate: byFactor ? null : rate },
  };
}
