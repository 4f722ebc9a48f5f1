import { type DayNumber, periodStepper } from "../calendar";
import { type LoanQuote, paymentDates } from "../kinds/loan";
import { annualPercentageRate, UNDATED_START } from "../yield";
import type { Stated, StatedFigure } from "./way";

/** A stated figure against the one that follows from what else is stated, and how much it may be off. */
export type Held = {
  stated: number;
  /** What follows; minor units, or percent. */
  worked: number;
  /** Stated less worked. */
  off: number;
  tolerance: number;
  isWithin: boolean;
};

/** Why it cannot be told. */
export type NotHeld = { why: "paymentsNotKnown" | "noRate" };

/** Whether another's stated figures are as near as the law of the United States asks. */
export type Matters = {
  /** 12 CFR 1026.22(a): percent a year. */
  apr?: Held | NotHeld;
  /** 12 CFR 1026.18(d)(2): minor units. */
  financeCharge?: Held | NotHeld;
  /** Their amount financed, or the deal's where they state none, in minor units. */
  amountFinanced: number;
  isOwnAmount: boolean;
  /** Payments of more than one kind, or not a period apart: but for the first period, the first and the last payment. */
  isIrregular: boolean;
};

const REGULAR_TOLERANCE = 0.125;
const IRREGULAR_TOLERANCE = 0.25;
/** Floats that are within this of a tolerance are within it. */
const NEAR = 1e-9;

/**
 * Holds a stated APR against that of the stated amount financed, payments and dates, and a stated finance charge against the
 * payments less the amount financed.
 *
 * @param quote the deal; its amount financed and dates count where none are stated
 * @param stated what another says
 * @example matters(plainQuote, { financeCharge: { units: 32800, decimals: 2 } }).financeCharge // { why: "paymentsNotKnown" }
 */
export function matters(quote: LoanQuote, stated: Stated): Matters {
  const { decimals } = quote;
  const minor = ({ units, decimals: typed }: StatedFigure) => Math.round(units * 10 ** (decimals - typed));
  const own = stated.amountFinanced;
  const amountFinanced = own ? minor(own) : quote.amountFinanced;
  const payments = paymentsOf(quote, stated, minor);
  const isIrregular = payments ? areIrregular(payments) || quote.isListed : !quote.isLevel;
  const told: Matters = { amountFinanced, isOwnAmount: own === undefined, isIrregular };
  if (stated.apr) told.apr = heldApr(quote, stated.apr, amountFinanced, payments, isIrregular);
  if (stated.financeCharge) {
    const total =
      payments?.reduce((sum, { amount }) => sum + amount, 0) ??
      (stated.totalOfPayments && minor(stated.totalOfPayments));
    told.financeCharge =
      total === undefined
        ? { why: "paymentsNotKnown" }
        : held(
            minor(stated.financeCharge),
            total - amountFinanced,
            chargeTolerance(amountFinanced, decimals),
          );
  }
  return told;
}

/** 5.00 up to 1,000.00 financed, 10.00 beyond, in minor units. */
const chargeTolerance = (amountFinanced: number, decimals: number): number =>
  (amountFinanced <= 1000 * 10 ** decimals ? 5 : 10) * 10 ** decimals;

function held(stated: number, worked: number, tolerance: number): Held {
  const off = stated - worked;
  return { stated, worked, off, tolerance, isWithin: Math.abs(off) <= tolerance + NEAR };
}

function heldApr(
  quote: LoanQuote,
  { units, decimals }: StatedFigure,
  amountFinanced: number,
  payments: TheirPayment[] | undefined,
  isIrregular: boolean,
): Held | NotHeld {
  if (!payments) return { why: "paymentsNotKnown" };
  const start = quote.startDate ?? UNDATED_START;
  const apr = annualPercentageRate({ advances: [{ date: start, amount: amountFinanced }], payments });
  if (!apr.ok) return { why: "noRate" };
  return held(
    units / 10 ** decimals,
    apr.value.percent,
    isIrregular ? IRREGULAR_TOLERANCE : REGULAR_TOLERANCE,
  );
}

type TheirPayment = { date: DayNumber; amount: number; number: number };

/**
 * Each of their payments with its day: those of their table; or the payment each time with the last one, or with what is
 * left of the total; undefined where they are not all known.
 */
function paymentsOf(
  quote: LoanQuote,
  stated: Stated,
  minor: (figure: StatedFigure) => number,
): TheirPayment[] | undefined {
  const { plan } = quote.filled;
  const stepper = periodStepper(plan.frequency, UNDATED_START);
  const planned = paymentDates(plan);
  const isAdvance = plan.timing === "advance";
  const dateOf = (number: number) => planned(number) ?? stepper(isAdvance ? number - 1 : number);
  const { table } = stated;
  const count = quote.plannedPayments;
  if (table && table.filter(({ payment }) => payment).length >= count)
    return table.flatMap(({ number, date, payment }) =>
      payment ? [{ number, date: date ?? dateOf(number), amount: minor(payment) }] : [],
    );
  const { payment, lastPayment, totalOfPayments } = stated;
  if (!payment || !quote.isLevel || quote.agreedBalloon > 0) return undefined;
  const level = minor(payment);
  const last = lastPayment
    ? minor(lastPayment)
    : totalOfPayments && minor(totalOfPayments) - (count - 1) * level;
  if (last === undefined || last <= 0) return undefined;
  return Array.from({ length: count }, (_, index) => ({
    number: index + 1,
    date: dateOf(index + 1),
    amount: index === count - 1 ? last : level,
  }));
}

/** Whether payments differ, but for the first and the last. */
function areIrregular(payments: readonly TheirPayment[]): boolean {
  const [, second] = payments;
  return payments.slice(1, -1).some(({ amount }) => amount !== second?.amount);
}
