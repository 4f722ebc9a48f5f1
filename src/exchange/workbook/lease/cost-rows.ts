import type { LeaseQuote } from "@/core";
import { capital } from "../../text";
import { percentOf, rounded, scaleOf } from "../../workbook-parts/rounding";
import { NAMED_CHARGES, numbered, type SheetRows } from "../../workbook-parts/sheet-rows";

type Charge = NonNullable<LeaseQuote["filled"]["structure"]["fees"]>[number];
type Tax = LeaseQuote["filled"]["plan"]["taxes"][number];

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
  /** The rate of each tax on payments: where it stands, and by what it is a whole number. */
  paymentTaxes: readonly { tax: Tax; rate: string; by: string }[];
};

const sum = (terms: readonly string[]) => (terms.length > 0 ? terms.join("+") : "0");

/** Writes the lines from the agreed price to the adjusted capitalized cost. */
export function costRows(quote: LeaseQuote, rows: SheetRows, scale: number): CostCells {
  const { structure, plan } = quote.filled;
  const amount = (label: string, minor: number, name?: string) =>
    rows.input({ label, ...(name && { name }) }, minor / scale, scale);
  const price = amount(capital(structure.names?.price ?? "agreed price"), quote.price, "Price");
  const charge = ({ name, amount: of }: Charge, minor: number, called: string) => {
    if ("minor" in of) return amount(name, minor, called);
    const percent = rows.input(
      { label: `${name}, percent of the price`, format: "rate", name: `${called}_percent` },
      Number(of.percent),
    );
    const by = rows.beside(scaleOf(percent));
    return rows.amount({ label: name }, percentOf(price, percent, by), scale, minor);
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
  const cash = cashRow(quote, rows, scale, price);
  const equity = `(${sum(tradeIns.map(({ allowance }) => allowance))}-(${sum(tradeIns.map(({ owed }) => owed))}))`;
  const given = sum(rebates.map(({ at }) => at));
  const taxed = {
    price,
    fees: sum([
      ...fees.filter(({ charge: each }) => each.isTaxable).map(({ at }) => at),
      ...(fee?.isTaxable ? [acquisition] : []),
    ]),
    extras: sum(extras.filter(({ charge: each }) => each.isTaxable).map(({ at }) => at)),
    allowances: sum(tradeIns.map(({ allowance }) => allowance)),
    equity,
    cash,
    rebates: given,
    before: sum(rebates.filter(({ rebate }) => rebate.isBeforeTax).map(({ at }) => at)),
  };
  let once = 0;
  const taxes = plan.taxes.map((tax, index) => {
    const rate = rows.input(
      { label: `${tax.name}, percent`, format: "rate", name: `Tax_${index + 1}_percent` },
      Number(tax.rate),
    );
    const by = rows.beside(scaleOf(rate));
    const isOnce = tax.on.some(part => ONCE.has(part));
    const minor = isOnce ? (quote.taxes[once++]?.amount ?? 0) : 0;
    const at = isOnce
      ? rows.amount({ label: `${tax.name}, once` }, onceTax(tax, taxed, rate, by), scale, minor)
      : undefined;
    return { tax, rate, by, at };
  });
  const paid = (which: "financed" | "atSigning") =>
    [...fees, ...extras].filter(({ charge: each }) => each.paid === which).map(({ at }) => at);
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
  };
}

const ONCE: ReadonlySet<string> = new Set(["price", "fees", "extras", "reduction"]);

function cashRow({ filled, down }: LeaseQuote, rows: SheetRows, scale: number, price: string): string {
  const { structure } = filled;
  const label = capital(structure.names?.down ?? "cash down");
  const asked = structure.down;
  if (!asked || !("percent" in asked)) return rows.input({ label, name: "Cash_down" }, down / scale, scale);
  const percent = rows.input(
    { label: `${label}, percent of the price`, format: "rate", name: "Cash_down_percent" },
    Number(asked.percent),
  );
  const by = rows.beside(scaleOf(percent));
  return rows.amount({ label }, percentOf(price, percent, by), scale, down);
}

type Taxed = Record<
  "price" | "fees" | "extras" | "allowances" | "equity" | "cash" | "rebates" | "before",
  string
>;

/** A tax that is reckoned once, on lines less credits and on the reduction, capped. */
function onceTax(tax: Tax, of: Taxed, rate: string, by: string): string {
  const { tradeInCredit, rebateCredit, capOn, cap, rounding } = tax;
  const credited = rebateCredit ? of.rebates : of.before;
  const credit = (all: string) =>
    tradeInCredit === false ? "0" : tradeInCredit === true ? all : `MIN(${all},${tradeInCredit})`;
  const lines = sum(
    (["price", "fees", "extras"] as const).filter(part => tax.on.includes(part)).map(part => of[part]),
  );
  const onLines = `MAX(${lines}-(${credit(of.allowances)})-(${credited}),0)`;
  const worth = `MAX(${of.equity},0)`;
  const onReduction = tax.on.includes("reduction")
    ? `+MAX(${of.cash},0)+(${of.rebates})-(${credited})+${worth}-(${credit(worth)})`
    : "";
  const base = capOn === undefined ? `(${onLines}${onReduction})` : `MIN(${onLines}${onReduction},${capOn})`;
  const amount = rounded(`${base}*ROUND(${rate}*${by},0)/(100*${by})`, rounding);
  return cap === undefined ? amount : `MIN(${amount},${cap})`;
}
