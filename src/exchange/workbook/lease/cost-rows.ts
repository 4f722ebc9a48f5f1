import type { LeaseQuote } from "@/core";
import { PAID_WITH } from "../../structure/paid-with";
import { capital } from "../../text";
import { percentRow } from "../../workbook-parts/percent-row";
import { NAMED_CHARGES, numbered, type SheetRows, sum } from "../../workbook-parts/sheet-rows";
import { isOnce, isOnLines, onceTax, type TaxRate, taxOnLines, taxRateRows } from "./tax-rows";

type Charge = NonNullable<LeaseQuote["filled"]["structure"]["fees"]>[number];

/** What of the lines down to the adjusted capitalized cost the rest needs: formulas in minor units. */
export type CostCells = {
  price: string;
  cash: string;
  /** What trade-ins are worth beyond what is owed on them, and below zero where they are worth less. */
  equity: string;
  rebates: string;
  deposit: string;
  cost: string;
  /** Paid at signing beside cash and payments. */
  atSigning: string;
  paymentTaxes: readonly TaxRate[];
  withPayments: Record<"first" | "last" | "each", string>;
};

/** Writes the lines from the agreed price to the adjusted capitalized cost. */
export function costRows(quote: LeaseQuote, rows: SheetRows, scale: number): CostCells {
  const { structure, plan } = quote.filled;
  const amount = (label: string, minor: number, name?: string, remark?: string) =>
    rows.input({ label, ...(name && { name }), ...(remark && { remark }) }, minor / scale, scale);
  const price = amount(capital(structure.names?.price ?? "agreed price"), quote.price, "Price");
  const charge = ({ name, amount: of, paid: when }: Charge, minor: number, called: string) => {
    const remark = PAID_WITH[when];
    if ("minor" in of) return amount(name, minor, called, remark);
    return percentRow(
      rows,
      { label: name, of: "the price", name: `${called}_percent`, percent: of.percent, base: price, remark },
      scale,
      minor,
    );
  };
  const list = (which: "fees" | "extras") =>
    (structure[which] ?? []).map((each, index) => ({
      charge: each,
      at: charge(each, quote[which][index] ?? 0, `${NAMED_CHARGES[which]}_${index + 1}`),
    }));
  const [fees, extras] = [list("fees"), list("extras")];
  const fee = plan.acquisitionFee;
  const acquisition = fee ? amount("Acquisition fee", fee.amount, "Acquisition_fee") : "0";
  const tradeIns = structure.tradeIns.map(({ name = "trade-in", allowance, owed }, index) => ({
    allowance: amount(`Allowance, ${name}`, allowance ?? 0, numbered("Trade_in_allowance", index)),
    owed: amount(`Owed, ${name}`, owed, numbered("Trade_in_owed", index)),
  }));
  const rebates = (structure.rebates ?? []).map((rebate, index) => ({
    rebate,
    at: amount(rebate.name, rebate.amount, `Rebate_${index + 1}`),
  }));
  const deposit =
    structure.deposit === undefined ? "0" : amount("Deposit paid", structure.deposit, "Deposit");
  const equity = `(${sum(tradeIns.map(({ allowance }) => allowance))}-(${sum(tradeIns.map(({ owed }) => owed))}))`;
  const given = sum(rebates.map(({ at }) => at));
  const lines = {
    price,
    fees: sum([
      ...fees.filter(({ charge: each }) => each.isTaxable).map(({ at }) => at),
      ...(fee?.isTaxable ? [acquisition] : []),
    ]),
    extras: sum(extras.filter(({ charge: each }) => each.isTaxable).map(({ at }) => at)),
    allowances: sum(tradeIns.map(({ allowance }) => allowance)),
    equity,
    rebates: given,
    before: sum(rebates.filter(({ rebate }) => rebate.isBeforeTax).map(({ at }) => at)),
  };
  const charges = [...fees, ...extras];
  const rates = taxRateRows(plan.taxes, rows);
  // A percent of all is of what the taxes on the lines come to, not of those on the cash that it makes.
  const all = sum([
    price,
    ...charges.filter(({ charge: { paid } }) => !paid.startsWith("with")).map(({ at }) => at),
    acquisition,
    ...rates.filter(({ tax }) => isOnLines(tax)).map(rate => taxOnLines(rate, lines)),
  ]);
  const cash = cashRow(quote, rows, scale, { price, all });
  let once = 0;
  const taxes = rates.map(rate => {
    if (!isOnce(rate.tax)) return rate;
    const minor = quote.taxes[once++]?.amount ?? 0;
    const label = `${rate.tax.name}, once`;
    return { ...rate, at: rows.amount({ label }, onceTax(rate, { ...lines, cash }), scale, minor) };
  });
  const paid = (which: Charge["paid"]) =>
    charges.filter(({ charge: each }) => each.paid === which).map(({ at }) => at);
  const taxesPaid = (isFinanced: boolean) =>
    taxes.flatMap(({ tax, at }) => (at !== undefined && tax.isFinanced === isFinanced ? [at] : []));
  const gross = sum([
    price,
    ...paid("financed"),
    ...(fee?.isFinanced ? [acquisition] : []),
    ...taxesPaid(true),
    `MAX(-${equity},0)`,
  ]);
  const reduction = `MAX(${equity},0)+${given}+${deposit}+${cash}`;
  rows.amount({ label: "Gross capitalized cost" }, gross, scale, quote.gross);
  rows.amount({ label: "Capitalized cost reduction" }, reduction, scale, quote.reduction);
  return {
    price,
    cash,
    equity,
    rebates: given,
    deposit,
    cost: rows.amount(
      { label: "Adjusted capitalized cost", name: "Loan_amount_minor", style: "strong" },
      `${gross}-(${reduction})`,
      scale,
      quote.cost,
      "sum",
    ),
    atSigning: sum([
      ...paid("atSigning"),
      ...(fee && !fee.isFinanced ? [acquisition] : []),
      ...taxesPaid(false),
    ]),
    paymentTaxes: taxes.filter(({ tax }) => tax.on.includes("payment")),
    withPayments: {
      first: sum(paid("withFirstPayment")),
      last: sum(paid("withLastPayment")),
      each: sum(paid("withEachPayment")),
    },
  };
}

function cashRow(
  { filled, down }: LeaseQuote,
  rows: SheetRows,
  scale: number,
  of: { price: string; all: string },
): string {
  const { structure } = filled;
  const label = capital(structure.names?.down ?? "cash down");
  const asked = structure.down;
  if (!asked || !("percent" in asked)) return rows.input({ label, name: "Cash_down" }, down / scale, scale);
  const isOfAll = asked.of === "total";
  return percentRow(
    rows,
    {
      label,
      of: isOfAll ? "all" : "the price",
      name: "Cash_down_percent",
      percent: asked.percent,
      base: isOfAll ? of.all : of.price,
    },
    scale,
    down,
  );
}
