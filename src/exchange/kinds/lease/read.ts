import { LEASE_NAMES, type LeaseDeal, type LeasePlan, type Result, readCurrency, success } from "@/core";
import { fileReader, priceText, type Reader, writtenOut } from "../../reading";
import { readStructure, readTax, tradeInsOf } from "../../structure";
import type { LeaseFile } from "./file/file.schema";

type PlanFile = LeaseFile["plan"];

/**
 * Turns a deal file whose plan is a lease, and that passed its schema, into the lease that the core computes with.
 *
 * @returns the lease, or a failure naming the figure that cannot be read or contradicts `find`
 */
export function readLease(file: LeaseFile): Result<LeaseDeal> {
  const decimals = readCurrency(file.currency);
  if (!decimals.ok) return decimals;
  const read = fileReader(file.currency);
  const { currency, find, structure, plan } = file;
  refuseContradictions(file, read);
  // Taxes of a structure are those of a loan: they stay in the file, and are not used.
  const { taxes: _taxes, taxIncluded: _included, listPrice, ...lines } = structure;
  const found = find === "down" || find === "allowance" ? find : "payment";
  const lease: LeaseDeal = {
    currency,
    structure: readStructure(lines, found, read),
    listPrice: read.amount("listPrice", "list price", listPrice),
    plan: readLeasePlan(plan, read),
    find,
    ...(file.from && { from: readKnown(file.from, read) }),
  };
  const failure = read.failure();
  return failure ? { ok: false, failure } : success(lease);
}

/** What a lease cannot have, and a figure that is given although it is being found. */
function refuseContradictions({ structure, plan, find }: LeaseFile, read: Reader): void {
  if (structure.purpose !== undefined)
    read.refuse("price", "A lease has no purpose: that is a personal loan's, which pays money out.");
  const { moneyFactor, yearlyRate, reckoning, residual, payment, payments } = plan;
  if (reckoning === "moneyFactor" && (yearlyRate !== undefined || find === "yearlyRate"))
    read.refuse(
      "yearlyRate",
      "The lease is reckoned by money factor; leave the yearly rate out, it follows.",
    );
  if (reckoning === "levelYield" && (moneyFactor !== undefined || find === "moneyFactor"))
    read.refuse(
      "moneyFactor",
      "The lease is reckoned by level yield; leave the money factor out, it follows.",
    );
  const open = tradeInsOf(structure).filter(({ allowance }) => allowance === undefined);
  if (open.length > 0 && find !== "allowance")
    read.refuse("allowance", "A trade-in has no allowance; give it, or find it.");
  if (open.length > 1)
    read.refuse("allowance", "Only one trade-in can leave its allowance out, to be found; give the others.");
  const given: Record<LeaseFile["find"], unknown> = {
    payment,
    price: structure.price,
    down: structure.down,
    allowance: tradeInsOf(structure).length > 0 && open.length === 0 ? true : undefined,
    residual,
    residualPercent: residual,
    moneyFactor,
    yearlyRate,
    payments,
  };
  if (given[find] !== undefined)
    read.refuse("payment", `The ${LEASE_NAMES[find]} is being found, so the file must leave it out.`);
}

function readLeasePlan(plan: PlanFile, read: Reader): LeasePlan {
  const { acquisitionFee, securityDeposit, distance, residual, roundingStep } = plan;
  const step = read.amount("roundingStep", "rounding step", roundingStep);
  const fee = (name: string, typed: string | number | undefined) => read.amount("fees", name, typed) ?? 0;
  return {
    kind: "lease",
    reckoning: plan.reckoning,
    moneyFactor: plan.moneyFactor === undefined ? null : writtenOut(plan.moneyFactor, 8),
    yearlyRate: plan.yearlyRate === undefined ? null : String(plan.yearlyRate),
    payments: plan.payments ?? null,
    frequency: plan.frequency,
    rounding: plan.rounding ?? "nearest",
    ...(step !== null && step > 0 && { roundingStep: step }),
    signed: read.date("signed", "date of signing", plan.signed),
    payment: read.amount("payment", "payment", plan.payment),
    inAdvance: plan.inAdvance ?? 0,
    residual: residual === undefined ? null : readResidual(residual, read),
    residualDue: plan.residualDue ?? "end",
    ...(acquisitionFee && {
      acquisitionFee: {
        amount: read.amount("acquisitionFee", "acquisition fee", acquisitionFee.amount) ?? 0,
        isFinanced: acquisitionFee.financed ?? true,
        isTaxable: acquisitionFee.taxable ?? false,
      },
    }),
    ...(securityDeposit && { securityDeposit: readSecurity(securityDeposit, read) }),
    taxes: (plan.taxes ?? []).map(tax => readTax(tax, read)),
    ...(distance && {
      distance: {
        perYear: distance.perYear,
        unit: distance.unit,
        beyond: priceText(distance.beyond),
        expected: distance.expected ?? null,
      },
    }),
    earlyFee: fee("fee for ending early", plan.earlyFee),
    ...(plan.surplus && { surplus: plan.surplus }),
    dispositionFee: fee("disposition fee", plan.dispositionFee),
    purchaseFee: fee("purchase fee", plan.purchaseFee),
  };
}

function readResidual(residual: NonNullable<PlanFile["residual"]>, read: Reader): LeasePlan["residual"] {
  return "amount" in residual
    ? { amount: read.amount("residual", "residual", residual.amount) ?? 0 }
    : { percent: String(residual.percent), of: residual.of ?? "listPrice" };
}

function readSecurity(deposit: NonNullable<PlanFile["securityDeposit"]>, read: Reader) {
  return "amount" in deposit
    ? { amount: read.amount("securityDeposit", "security deposit", deposit.amount) ?? 0 }
    : {
        roundedUpTo: read.amount("securityDeposit", "step of the security deposit", deposit.roundedUpTo) ?? 0,
      };
}

function readKnown(from: NonNullable<LeaseFile["from"]>, read: Reader): NonNullable<LeaseDeal["from"]> {
  const amount = (
    figure: NonNullable<LeaseDeal["from"]>["figure"],
    name: string,
    typed: string | number,
  ) => ({
    figure,
    value: read.amount(figure, name, typed) ?? 0,
  });
  if ("basePayment" in from) return amount("basePayment", "payment before tax", from.basePayment);
  if ("dueAtSigning" in from) return amount("dueAtSigning", "sum due at signing", from.dueAtSigning);
  if ("totalIfReturned" in from)
    return amount("totalIfReturned", "total if handed back", from.totalIfReturned);
  return amount("totalIfBought", "total if bought", from.totalIfBought);
}
