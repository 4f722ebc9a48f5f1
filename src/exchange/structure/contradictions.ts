import type { Reader } from "../reading";
import type { ExtraFile, FeeFile, StructureFile, TaxFile } from "./structure.schema";

/** Refuses a structure whose parts contradict one another, with a sentence that names them. */
export function refuseContradictions(file: StructureFile, read: Reader): void {
  if (file.tradeIn && file.tradeIns)
    read.refuse("allowance", "The file has tradeIn and tradeIns; list every trade-in in tradeIns.");
  for (const charge of [...(file.fees ?? []), ...(file.extras ?? [])]) refuseCharge(charge, file, read);
  if (file.taxIncluded) refuseCredits(file, read);
  if (file.purpose === undefined) {
    if (file.payoffs)
      read.refuse("payoffs", "Debts are paid off out of a personal loan only; give its purpose.");
  } else refuseVehicle(file, read);
}

/** A fee or an extra is an amount or a percent, and paid in one way. */
function refuseCharge(charge: FeeFile | ExtraFile, { purpose }: StructureFile, read: Reader): void {
  const { name, amount, percentOf, percent } = charge;
  const isAmount = amount !== undefined && percentOf === undefined && percent === undefined;
  const isPercent = amount === undefined && percentOf !== undefined && percent !== undefined;
  if (!isAmount && !isPercent)
    read.refuse("fees", `${name} must have an amount, or a percent with what it is of (percentOf).`);
  if (charge.with !== undefined && charge.taxable)
    read.refuse("fees", `${name} falls with payments and cannot be taxable; give it with its tax in it.`);
  if (!("keptBack" in charge && charge.keptBack)) return;
  if (purpose === undefined)
    read.refuse("fees", `${name} cannot be kept back: only a personal loan, with a purpose, pays out cash.`);
  if (charge.with !== undefined || charge.financed === false)
    read.refuse("fees", `${name} is kept back, so it cannot be paid in another way, too.`);
}

/** Where taxes are in the prices nothing can be credited or capped. */
function refuseCredits({ taxes = [], rebates = [] }: StructureFile, read: Reader): void {
  const limits = ({ tradeInCredit, rebateCredit, cap, capOn }: TaxFile) =>
    (tradeInCredit !== undefined && tradeInCredit !== false) ||
    rebateCredit === true ||
    cap !== undefined ||
    capOn !== undefined;
  const limited = taxes.find(limits);
  if (limited)
    read.refuse(
      "taxes",
      `${limited.name} is in the price, so nothing can be credited on it, nor it be capped.`,
    );
  const before = rebates.find(({ beforeTax }) => beforeTax);
  if (before) read.refuse("taxes", `${before.name} cannot come before a tax that is in the price.`);
}

/** A personal loan has nothing of a vehicle. */
function refuseVehicle({ tradeIn, tradeIns, taxes, taxIncluded }: StructureFile, read: Reader): void {
  if (tradeIn || tradeIns?.length)
    read.refuse("allowance", "A personal loan, with a purpose, has no trade-in.");
  if (taxes?.length || taxIncluded) read.refuse("taxes", "A personal loan, with a purpose, has no taxes.");
}
