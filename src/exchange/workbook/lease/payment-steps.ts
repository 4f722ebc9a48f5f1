import { LEASE_RATE_NOTICE, type LeaseQuote, periodsPerYear } from "@/core";
import { dateAfter, twoDaysOf } from "../../workbook-parts/dates";
import { halfMonthDate, twoDaysRows } from "../../workbook-parts/half-month-rows";
import { percentRow } from "../../workbook-parts/percent-row";
import { rounded, scaleOf } from "../../workbook-parts/rounding";
import type { SheetRows } from "../../workbook-parts/sheet-rows";
import { serialOf } from "../../workbook-parts/workbook";
import type { CostCells } from "./cost-rows";

/** What the table of a lease needs: names and places of formulas, in minor units. */
export type LeaseCells = {
  count: string;
  /** On how many days is paid: the count, or once where all is paid at signing. */
  rows: string;
  atSigning: number;
  /** Empty without dates. */
  signed: string;
  /** The date some periods after the contract's. */
  dateOf: (periods: string) => string;
  residual: string;
  later: string;
  residualAt: string;
  base: string;
  tax: string;
  /** What an amount bears over a period: at the implicit rate, or by level yield at the one that was typed. */
  rentOf: (balance: string) => string;
  security: string;
};

const FACTOR_SCALE = 100_000_000;

/** Writes what was typed of a lease's plan, and the steps to its payment. */
export function leasePlanRows(
  quote: LeaseQuote,
  rows: SheetRows,
  cost: CostCells,
  scale: number,
): LeaseCells {
  const { plan } = quote.filled;
  const named = rows.named;
  const perYear = periodsPerYear(plan.frequency);
  const isAtOnce = isPaidAtOnce(quote);
  const isFactor = plan.reckoning === "moneyFactor";
  const rate = isFactor
    ? rows.input(
        { label: "Money factor, a month", format: "factor", name: "Money_factor" },
        Number(plan.moneyFactor),
      )
    : rows.input(
        { label: "Yearly rate, percent", format: "rate", name: "Yearly_rate", remark: LEASE_RATE_NOTICE },
        Number(plan.yearlyRate),
      );
  const by = isFactor ? undefined : rows.beside(scaleOf(rate));
  const count = rows.input(
    {
      label: "Number of payments",
      format: "count",
      name: "Payments",
      ...(isAtOnce && { remark: "all paid at signing, in one" }),
    },
    quote.payments,
  );
  const signed =
    quote.startDate === null
      ? ""
      : rows.input(
          { label: "Contract date", format: "date", name: "Contract_date" },
          serialOf(quote.startDate),
        );
  const residual = residualRow(quote, rows, cost, scale);
  const rule = rows.input(
    { label: "Payment rounded", format: "text", name: "Rounding", remark: "nearest, up or down" },
    plan.rounding,
  );
  const step = rows.input(
    { label: "to a step of", name: "Rounding_step" },
    (plan.roundingStep ?? 1) / scale,
    scale,
  );
  rows.hidden("Unchanged", rows.unchanged());
  const atSigning = isAtOnce ? 1 : plan.inAdvance;
  rows.hidden("Later", isAtOnce ? "0" : `${count}-${atSigning}`);
  const later = named("Later");
  rows.hidden(
    "Residual_at",
    { lastPayment: later, onePeriodAfter: `${later}+1`, end: count }[plan.residualDue],
  );
  const residualAt = named("Residual_at");
  rows.hidden("Period_rate", isFactor ? `${rate}*24/${perYear}` : `${rate}/${perYear * 100}`);
  const i = named("Period_rate");
  const unrounded = isFactor
    ? `${isAtOnce ? `${count}*` : ""}((${cost.cost}-${residual})/${count}+(${cost.cost}+${residual})*ROUND(${rate}*${FACTOR_SCALE},0)*12/${FACTOR_SCALE * perYear})`
    : `(${cost.cost}-${residual}/(1+${i})^${residualAt})/(${atSigning}+IF(${i}=0,${later},(1-(1+${i})^(-${later}))/${i}))`;
  const steps = `(${unrounded})/${step}`;
  const live = `IF(${rule}="up",ROUNDUP(ROUND(${steps},6),0),IF(${rule}="down",ROUNDDOWN(ROUND(${steps},6),0),ROUND(${steps},0)))*${step}`;
  rows.hidden(
    "Solved",
    `IF(AND(${count}>${isAtOnce ? 0 : atSigning},${count}<=${leaseRoom(quote)}),${quote.deal.find === "payment" ? live : `IF(${named("Unchanged")},${quote.basePayment},${live})`},"")`,
  );
  const base = named("Solved");
  rows.hidden(
    "Tax_each",
    `IF(ISNUMBER(${base}),${
      cost.paymentTaxes
        .map(({ tax, rate: percent, by }) => {
          const on = tax.capOn === undefined ? base : `MIN(${base},${tax.capOn})`;
          const amount = rounded(`${on}*ROUND(${percent}*${by},0)/(100*${by})`, tax.rounding);
          return tax.cap === undefined ? amount : `MIN(${amount},${tax.cap})`;
        })
        .join("+") || "0"
    },"")`,
  );
  return {
    count,
    rows: isAtOnce ? "1" : count,
    atSigning,
    signed,
    dateOf: leaseDates(quote, rows, signed),
    residual,
    later,
    residualAt,
    base,
    tax: named("Tax_each"),
    rentOf: balance =>
      by === undefined
        ? `ROUND(${balance}*${named("Implicit_rate")},0)`
        : `ROUND(${balance}*ROUND(${rate}*${by},0)/(100*${by}*${perYear}),0)`,
    security: securityOf(quote, base, named("Tax_each")),
  };
}

/** Whether all is paid at signing, in one. */
export const isPaidAtOnce = ({ filled, payments }: LeaseQuote): boolean => filled.plan.inAdvance === payments;

/** Half months stand on two days of the month, others a step apart. */
function leaseDates(
  { filled: { plan } }: LeaseQuote,
  rows: SheetRows,
  signed: string,
): (periods: string) => string {
  if (plan.frequency !== "twiceAMonth" || signed === "")
    return periods => dateAfter(plan.frequency, signed, periods);
  twoDaysRows(rows, signed, twoDaysOf(signed));
  return periods => halfMonthDate(rows, signed, periods);
}

const FEWEST_ROWS = 480;

/** For how many payments a lease's table has room. */
export const leaseRoom = ({ payments }: LeaseQuote): number => Math.max(FEWEST_ROWS, payments);

function residualRow(
  { filled, residual }: LeaseQuote,
  rows: SheetRows,
  { price }: CostCells,
  scale: number,
): string {
  const asked = filled.plan.residual;
  if (!asked || "amount" in asked)
    return rows.input({ label: "Residual", name: "Residual" }, residual / scale, scale);
  const ofPrice = asked.of === "price";
  const of = ofPrice
    ? price
    : rows.input({ label: "List price", name: "List_price" }, (filled.listPrice ?? 0) / scale, scale);
  return percentRow(
    rows,
    {
      label: "Residual",
      of: ofPrice ? "the price" : "the list price",
      name: "Residual_percent",
      percent: asked.percent,
      base: of,
    },
    scale,
    residual,
  );
}

/** Held and given back: an amount, or the payment rounded up to a step. */
function securityOf({ filled, securityDeposit }: LeaseQuote, base: string, tax: string): string {
  const asked = filled.plan.securityDeposit;
  if (!asked || "amount" in asked) return String(securityDeposit);
  return asked.roundedUpTo > 0
    ? `ROUNDUP((${base}+${tax})/${asked.roundedUpTo},0)*${asked.roundedUpTo}`
    : `(${base}+${tax})`;
}
