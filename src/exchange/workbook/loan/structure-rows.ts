import type { LoanQuote } from "@/core";
import { PAID_WITH } from "../../structure/paid-with";
import { capital } from "../../text";
import { percentRow } from "../../workbook-parts/percent-row";
import { type Rounding, rounded, scaleOf } from "../../workbook-parts/rounding";
import { NAMED_CHARGES, numbered, type SheetRows, sum } from "../../workbook-parts/sheet-rows";

type Structure = LoanQuote["filled"]["structure"];
type Charge = NonNullable<Structure["fees"]>[number];
type Tax = NonNullable<Structure["taxes"]>[number];

/** What of a structure the other sheets and rows need, each as a formula in minor units. */
export type StructureCells = {
  price: string;
  down: string;
  loanAmount: string;
  /** What of the finance charge is paid at the start. */
  prepaid: string;
  /** Paid that day beside a first payment. */
  atSigning: string;
  /** What leaves the pocket by the structure's own lines. */
  ownCost: string;
  /** What falls with payments, and what of it counts in the finance charge. */
  withPayments: Record<"first" | "last" | "each", { all: string; inCharge: string }>;
  /** What a personal loan pays out; undefined of a vehicle's. */
  received: string | undefined;
  /** What goes in as a value, by name. */
  kept: string[];
};

/** The name of what holds while nothing was changed. */
export const UNCHANGED = "Unchanged";

/** Writes the lines from the price to the loan amount, and gives where they stand. */
export function structureRows(quote: LoanQuote, rows: SheetRows, scale: number): StructureCells {
  const { filled, reckoned, decimals } = quote;
  const { structure } = filled;
  const unit = (minor: number) => Number((minor / scale).toFixed(decimals));
  const amountInput = (label: string, minor: number, name?: string, remark?: string) =>
    rows.input({ label, ...(name && { name }), ...(remark && { remark }) }, unit(minor), scale);
  const kept: string[] = [];
  /** A line that no formula makes stays as it was made. */
  const value = (label: string, minor: number, why: string) =>
    rows.amount(
      { label, remark: `a value: ${why}` },
      `IF(${rows.named(UNCHANGED)},${minor},"")`,
      scale,
      minor,
      "kept",
    );
  /** The same where the loan hangs on it. */
  const keptValue: KeptValue = (label, minor, why) => {
    kept.push(label);
    return value(label, minor, why);
  };
  const { personal, names = {} } = structure;
  const price = amountInput(
    capital(names.price ?? (personal ? "amount asked for" : "price")),
    reckoned.price,
    "Price",
  );
  const chargeRows = (list: "fees" | "extras") =>
    (structure[list] ?? []).map((charge, index) => {
      const minor = reckoned[list][index] ?? 0;
      return { charge, at: chargeRow(charge, minor, `${NAMED_CHARGES[list]}_${index + 1}`) };
    });
  const chargeRow = ({ name, amount, paid }: Charge, minor: number, called: string): string => {
    const remark = PAID_WITH[paid];
    if ("minor" in amount) return amountInput(name, minor, called, remark);
    if (amount.of !== "price") return keptValue(name, minor, "it is reckoned from the loan itself");
    return percentRow(
      rows,
      {
        label: name,
        of: "the price",
        name: `${called}_percent`,
        percent: amount.percent,
        base: price,
        remark,
      },
      scale,
      minor,
    );
  };
  const tradeIns = structure.tradeIns.map(({ allowance, owed, name }, index) => {
    const which = name ?? (structure.tradeIns.length > 1 ? `trade-in ${index + 1}` : "trade-in");
    return {
      allowance: amountInput(`Allowance, ${which}`, allowance ?? 0, numbered("Trade_in_allowance", index)),
      owed: amountInput(`Owed, ${which}`, owed, numbered("Trade_in_owed", index)),
    };
  });
  const rebates = (structure.rebates ?? []).map((rebate, index) => ({
    rebate,
    at: amountInput(rebate.name, rebate.amount, `Rebate_${index + 1}`),
  }));
  const fees = chargeRows("fees");
  const extras = chargeRows("extras");
  const isInPrice = structure.isTaxIncluded === true;
  const taxes = (structure.taxes ?? []).map((tax, index) => {
    const minor = reckoned.taxes[index]?.amount ?? 0;
    const lines = { price, fees, extras, tradeIns, rebates };
    if (isInPrice) return { tax, at: value(`${tax.name}, in the price`, minor, "the price holds it") };
    const rate = rows.input(
      { label: `${tax.name}, percent`, format: "rate", name: `Tax_${index + 1}_percent` },
      Number(tax.rate),
    );
    const by = rows.beside(scaleOf(rate));
    return { tax, at: rows.amount({ label: tax.name }, taxOf(tax, lines, rate, by), scale, minor) };
  });
  const deposit =
    structure.deposit === undefined ? undefined : amountInput("Deposit paid", structure.deposit, "Deposit");
  const charges = [...fees, ...extras];
  const down = downRow(structure, rows, scale, {
    price,
    total: sum([
      price,
      ...charges
        .filter(({ charge }) => !isFromLoan(charge) && !charge.paid.startsWith("with"))
        .map(({ at }) => at),
      ...(isInPrice ? [] : taxes.map(({ at }) => at)),
    ]),
    minor: reckoned.down,
    value: keptValue,
  });
  const of = (counts: (charge: Charge) => boolean) =>
    charges.filter(({ charge }) => counts(charge)).map(({ at }) => at);
  const minus = (cells: readonly string[]) => cells.map(at => `-${at}`).join("");
  const loan = [
    sum([
      price,
      ...(isInPrice ? [] : taxes.filter(({ tax }) => tax.isFinanced).map(({ at }) => at)),
      ...of(({ paid }) => paid === "financed"),
      ...tradeIns.map(({ owed }) => owed),
    ]),
    minus([...rebates.map(({ at }) => at), ...tradeIns.map(({ allowance }) => allowance)]),
    minus([...(deposit ? [deposit] : []), down]),
  ].join("");
  const payoffs = (personal?.payoffs ?? []).map(({ name, amount }, index) =>
    amountInput(`Paid off: ${name}`, amount, `Paid_off_${index + 1}`),
  );
  const prepaidCharge = filled.plan.prepaidCharge ?? 0;
  const cells = kept.length > 0 ? `IF(${rows.named(UNCHANGED)},${loan},"")` : loan;
  const loanAmount = rows.amount(
    { label: "Loan amount", name: "Loan_amount_minor", style: "strong" },
    cells,
    scale,
    quote.loanAmount,
    "sum",
  );
  const withPayments = (paid: string) => ({
    all: sum(of(charge => charge.paid === paid)),
    inCharge: sum(of(charge => charge.paid === paid && charge.isFinanceCharge)),
  });
  return {
    price,
    down,
    loanAmount,
    prepaid: sum([
      ...of(({ paid, isFinanceCharge }) => isFinanceCharge && !paid.startsWith("with")),
      String(prepaidCharge),
    ]),
    atSigning: sum([
      ...of(({ paid }) => paid === "atSigning"),
      ...(isInPrice ? [] : taxes.filter(({ tax }) => !tax.isFinanced).map(({ at }) => at)),
      String(prepaidCharge),
    ]),
    ownCost: `${sum([down, ...(deposit ? [deposit] : []), ...tradeIns.map(({ allowance }) => allowance)])}${minus(tradeIns.map(({ owed }) => owed))}`,
    received:
      personal &&
      `${loanAmount}${minus([...of(({ paid }) => paid === "financed" || paid === "keptBack"), ...payoffs])}`,
    withPayments: {
      first: withPayments("withFirstPayment"),
      last: withPayments("withLastPayment"),
      each: withPayments("withEachPayment"),
    },
    kept,
  };
}

const isFromLoan = ({ amount }: Charge) => "percent" in amount && amount.of !== "price";

type Lines = {
  price: string;
  fees: readonly { charge: Charge; at: string }[];
  extras: readonly { charge: Charge; at: string }[];
  tradeIns: readonly { allowance: string }[];
  rebates: readonly { rebate: NonNullable<Structure["rebates"]>[number]; at: string }[];
};

/** A tax on the lines that it names, less credits, never below 0, capped. */
function taxOf(
  tax: Tax,
  { price, fees, extras, tradeIns, rebates }: Lines,
  rate: string,
  by: string,
): string {
  const taxed = (list: Lines["fees"]) => list.filter(({ charge }) => charge.isTaxable).map(({ at }) => at);
  const on = sum([
    ...(tax.on.includes("price") ? [price] : []),
    ...(tax.on.includes("fees") ? taxed(fees) : []),
    ...(tax.on.includes("extras") ? taxed(extras) : []),
  ]);
  const allowances = sum(tradeIns.map(({ allowance }) => allowance));
  const credit =
    tax.tradeInCredit === false
      ? "0"
      : tax.tradeInCredit === true
        ? allowances
        : `MIN(${allowances},${tax.tradeInCredit})`;
  const given = sum(
    rebates.filter(({ rebate }) => rebate.isBeforeTax || tax.rebateCredit).map(({ at }) => at),
  );
  const base = `MAX(${on}-(${credit})-(${given}),0)`;
  const capped = tax.capOn === undefined ? base : `MIN(${base},${tax.capOn})`;
  const amount = rounded(`${capped}*ROUND(${rate}*${by},0)/(100*${by})`, tax.rounding as Rounding);
  return tax.cap === undefined ? amount : `MIN(${amount},${tax.cap})`;
}

type KeptValue = (label: string, minor: number, why: string) => string;

type DownOf = { price: string; total: string; minor: number; value: KeptValue };

/** Cash down: an amount, a percent of the price or of all, or what a sum due at signing leaves, which is a value. */
function downRow(
  { down, names }: Structure,
  rows: SheetRows,
  scale: number,
  { price, total, minor, value }: DownOf,
): string {
  const label = capital(names?.down ?? "cash down");
  if (down && "dueAtSigning" in down) return value(label, minor, "what a sum due at signing leaves");
  if (!down || "amount" in down) return rows.input({ label, name: "Cash_down" }, minor / scale, scale);
  const isOfAll = down.of === "total";
  return percentRow(
    rows,
    {
      label,
      of: isOfAll ? "all" : "the price",
      name: "Cash_down_percent",
      percent: down.percent,
      base: isOfAll ? total : price,
    },
    scale,
    minor,
  );
}
