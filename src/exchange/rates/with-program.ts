import { currencyDecimals, formatAmount, type LeaseDeal, type LoanDeal, type Quote } from "@/core";
import { type Moved, type Program, programFeeName } from "@/core/programs";
import { type DealFile, isLease } from "../deal-file";
import type { LeaseFile } from "../kinds/lease";
import { giveFoundLease } from "../kinds/lease/give-found";
import type { LoanFile } from "../kinds/loan";
import { giveFound } from "../kinds/loan/give-found";
import { withOptional } from "../members";
import type { StructureFile } from "../structure";
import { withLines, withNewLine } from "../structure/lines";
import { PROGRAM_FEE, turned, withoutProgramFee } from "./deal-to-fit";

/**
 * An option as a program offers it, as it would be typed: the program's kind and rate, its fee, its balloon or residual and its
 * fees at the end, and what is moved to make it fit. It asks for its payment.
 *
 * @param inputs the option, of which a quote is the answer
 * @param offered the deal that the core reckoned the offer with
 */
export function withProgram(
  inputs: DealFile,
  quote: Quote,
  { program, offered, moved }: { program: Program; offered: LoanDeal | LeaseDeal; moved?: Moved | undefined },
): DealFile {
  const own = withoutProgramFee(inputs);
  const isOther = isLease(own) !== (program.kind === "lease");
  const file = (isOther ? turned(own, quote) : null) ?? given(own, quote);
  const money = (minor: number) => formatAmount(minor, currencyDecimals(inputs.currency) ?? 2);
  const structure = movedStructure(file.structure, moved, money);
  const { lender } = program;
  return isLease(file)
    ? leaseWith({ ...file, lender, structure }, offered as LeaseDeal, money)
    : loanWith({ ...file, lender, structure }, program, offered as LoanDeal, money);
}

/** The option asked for its payment, with what it was looking for given. */
const given = (file: DealFile, quote: Quote): DealFile => {
  if (isLease(file)) return giveFoundLease(file, quote as never);
  const loan = giveFound(file, quote as never);
  return { ...loan, plan: withOptional(loan.plan, "payment", undefined) };
};

function movedStructure(
  structure: StructureFile,
  moved: Moved | undefined,
  money: (minor: number) => string,
): StructureFile {
  switch (moved?.by) {
    case "down":
      return { ...structure, down: { amount: money(moved.to) } };
    case "price":
      return { ...structure, price: money(moved.to) };
    case "extras": {
      const left = new Set(moved.left);
      return withLines(
        structure,
        "extras",
        (structure.extras ?? []).filter((_, index) => !left.has(index)),
      );
    }
    default:
      return structure;
  }
}

type Money = (minor: number) => string;

function loanWith(file: LoanFile, program: Program, { plan }: LoanDeal, money: Money): LoanFile {
  const { earning, compounding, dayCount, ...typed } = file.plan;
  const fee = program.kind === "lease" ? null : program.fee;
  return {
    ...file,
    structure:
      fee?.paidBy === "customer"
        ? withNewLine(file.structure, "fees", {
            id: PROGRAM_FEE,
            name: programFeeName(program.lender),
            amount: money(fee.amount),
            ...(fee.isFinanceCharge && { financeCharge: true }),
          })
        : file.structure,
    plan: {
      ...typed,
      kind: plan.kind,
      // What the core's plan has not any more does not go with its kind.
      ...(plan.earning && earning && { earning }),
      ...(plan.compounding && compounding && { compounding }),
      ...(plan.dayCount && dayCount && { dayCount }),
      ...(plan.yearlyRate !== null && { yearlyRate: plan.yearlyRate }),
      ...(plan.payments !== null && file.plan.datedPayments === undefined && { payments: plan.payments }),
      ...(plan.balloon && !file.plan.balloon && { balloon: balloonFile(plan.balloon, money) }),
    },
    find: "payment",
  };
}

const balloonFile = (balloon: NonNullable<LoanDeal["plan"]["balloon"]>, money: Money) =>
  "amount" in balloon ? { amount: money(balloon.amount) } : { percent: balloon.percent };

function leaseWith(file: LeaseFile, { plan, listPrice }: LeaseDeal, money: Money): LeaseFile {
  const { moneyFactor: _factor, yearlyRate: _rate, ...typed } = file.plan;
  const { acquisitionFee, residual } = plan;
  return {
    ...file,
    structure: {
      ...file.structure,
      ...(file.structure.listPrice === undefined && listPrice !== null && { listPrice: money(listPrice) }),
    },
    plan: {
      ...typed,
      reckoning: plan.reckoning,
      ...(plan.moneyFactor !== null && { moneyFactor: plan.moneyFactor }),
      ...(plan.yearlyRate !== null && { yearlyRate: plan.yearlyRate }),
      ...(plan.payments !== null && { payments: plan.payments }),
      inAdvance: plan.inAdvance,
      ...(residual && { residual: "amount" in residual ? { amount: money(residual.amount) } : residual }),
      ...(acquisitionFee && {
        acquisitionFee: {
          amount: money(acquisitionFee.amount),
          financed: acquisitionFee.isFinanced,
          taxable: acquisitionFee.isTaxable,
        },
      }),
      ...(plan.dispositionFee > 0 && { dispositionFee: money(plan.dispositionFee) }),
      ...(plan.purchaseFee > 0 && { purchaseFee: money(plan.purchaseFee) }),
      ...(plan.distance && { distance: distanceFile(plan.distance) }),
    },
    find: "payment",
  };
}

const distanceFile = ({ expected, ...distance }: NonNullable<LeaseDeal["plan"]["distance"]>) => ({
  ...distance,
  ...(expected !== null && { expected }),
});
