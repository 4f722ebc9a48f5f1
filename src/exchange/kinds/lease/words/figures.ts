import { fileWriter } from "../../../text";
import { FOUND, partOfPlan, structureFigures, typedOr, type Worded } from "../../kind/worded";
import type { LeaseFile } from "../file/file.schema";
import { distanceWords, leasePlanWords, leaseTaxWords } from "./plan";

/** Everything that was typed of a lease, by the names of its figures. */
export function leaseFigures(inputs: LeaseFile): Worded[] {
  const { structure, plan, find, from, currency } = inputs;
  const { money, date } = fileWriter(currency);
  const typed = typedOr(find);
  const { taxes: _taxes, taxIncluded: _included, ...lines } = structure;
  const { residual, securityDeposit: deposit } = plan;
  return [
    ["list price", structure.listPrice === undefined ? undefined : money(structure.listPrice)],
    ...structureFigures(lines, currency, find),
    ["kind of plan", "lease"],
    ["money factor", typed("moneyFactor", plan.moneyFactor, String)],
    ["yearly rate", typed("yearlyRate", plan.yearlyRate, rate => `${rate} %`)],
    ["number of payments", typed("payments", plan.payments, String)],
    ["payments in advance", plan.inAdvance ? String(plan.inAdvance) : undefined],
    ["residual", find.startsWith("residual") ? FOUND : residual && residualWords(residual, money)],
    ["contract date", plan.signed && date(plan.signed)],
    ["payment", typed("payment", plan.payment, money)],
    ["payment rounded", plan.rounding === "nearest" ? undefined : plan.rounding],
    ["acquisition fee", plan.acquisitionFee && money(plan.acquisitionFee.amount)],
    [
      "security deposit",
      deposit && ("amount" in deposit ? money(deposit.amount) : "one payment, rounded up"),
    ],
    ["fee at the end", plan.dispositionFee === undefined ? undefined : money(plan.dispositionFee)],
    ["fee to buy", plan.purchaseFee === undefined ? undefined : money(plan.purchaseFee)],
    ["fee to end early", plan.earlyFee === undefined ? undefined : money(plan.earlyFee)],
    ...leasePlanWords({ ...plan, taxes: undefined, distance: undefined }, currency).map(partOfPlan),
    ...(plan.taxes ?? []).map((tax): Worded => [tax.name, leaseTaxWords(tax, money)]),
    ["distance", plan.distance && distanceWords(plan.distance)],
    ["found from", from && Object.entries(from).map(([, amount]) => money(amount))[0]],
  ];
}

function residualWords(
  residual: NonNullable<LeaseFile["plan"]["residual"]>,
  money: (typed: string | number) => string,
): string {
  if ("amount" in residual) return money(residual.amount);
  return `${residual.percent} % of the ${residual.of === "price" ? "price" : "list price"}`;
}
