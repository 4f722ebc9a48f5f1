// A lender's lease by conventions written apart from the core's: 60-digit decimals.
import Decimal from "decimal.js";
import type { Departure } from "@/core/match";

const D = Decimal.clone({ precision: 60 });
type Digits = InstanceType<typeof D>;

/** How a lender reckons a lease; amounts in minor units. */
export type TheirLease = {
  price: number;
  listPrice: number;
  down: number;
  acquisition: number;
  isAcquisitionAtSigning: boolean;
  /** Paid at signing unless it is financed. */
  plates: number;
  isPlatesFinanced: boolean;
  more: number;
  residualPercent: string;
  residualOf: "price" | "listPrice";
  factor: string;
  /** Percent a year, where the payment comes from a rate. */
  rate: string | null;
  payments: number;
  inAdvance: number;
  taxRate: string;
  isTaxedOnPayment: boolean;
  isTaxOnUnrounded: boolean;
  rule: "nearest" | "up" | "down";
  step: number;
};

export type TheirLeaseFigures = { payment: number; rent: number; cost: number };

const exactly = (value: Digits): Digits => value.toDecimalPlaces(40);

function stepped(value: Digits, { rule, step }: TheirLease): number {
  const steps = exactly(value.div(step));
  const whole = rule === "up" ? steps.ceil() : rule === "down" ? steps.floor() : steps.plus(0.5).floor();
  return whole.times(step).toNumber();
}

const halfUp = (value: Digits): number => exactly(value).plus(0.5).floor().toNumber();

/** Payment with tax, rent and adjusted capitalized cost; undefined where there is no such lease. */
export function theirLease(lease: TheirLease): TheirLeaseFigures | undefined {
  const { price, down, acquisition, plates, more, payments } = lease;
  const cost =
    price -
    down +
    (lease.isAcquisitionAtSigning ? 0 : acquisition) +
    (lease.isPlatesFinanced ? plates : 0) +
    more;
  const of = lease.residualOf === "price" ? price : lease.listPrice;
  const residual = halfUp(new D(of).times(lease.residualPercent).div(100));
  const exact = lease.rate === null ? byFactor(lease, cost, residual) : byRate(lease, cost, residual);
  if (exact.lte(0)) return undefined;
  const base = stepped(exact, lease);
  const taxRate = lease.isTaxedOnPayment ? new D(lease.taxRate).div(100) : new D(0);
  const payment = lease.isTaxOnUnrounded
    ? stepped(exact.times(taxRate.plus(1)), lease)
    : base + halfUp(taxRate.times(base));
  return { payment, rent: payments * base - (cost - residual), cost };
}

const byFactor = ({ factor, payments }: TheirLease, cost: number, residual: number): Digits =>
  new D(cost - residual).div(payments).plus(new D(factor).times(cost + residual));

/** Payments at signing are worth what they are, later ones less each month; so is the residual at the end. */
function byRate({ rate, payments, inAdvance }: TheirLease, cost: number, residual: number): Digits {
  const growth = new D(rate ?? 0).div(1200).plus(1);
  let worth = new D(inAdvance);
  for (let month = 1; month <= payments - inAdvance; month++) worth = worth.plus(growth.pow(-month));
  return new D(cost).minus(growth.pow(-payments).times(residual)).div(worth);
}

/** What a departure makes of a lender's lease. */
export function withLeaseDeparture(lease: TheirLease, departure: Departure): TheirLease {
  switch (departure.kind) {
    case "lines":
    case "amount":
      return { ...lease, more: lease.more + departure.more };
    case "timing":
      return { ...lease, inAdvance: departure.timing === "advance" ? 1 : 0 };
    case "rounding":
      return { ...lease, rule: departure.rule, step: departure.step };
    case "rounded":
      return {
        ...lease,
        factor: exactly(new D(lease.factor)).toDecimalPlaces(departure.decimals, D.ROUND_HALF_UP).toString(),
      };
    case "taxOn":
      return { ...lease, isTaxOnUnrounded: true };
    case "rowInterest":
      return lease;
    case "rate":
      return { ...lease, rate: new D(lease.factor).times(2400).toDecimalPlaces(8).toString() };
    case "slip":
      return withSlip(lease, departure);
    default:
      throw new Error(`${departure.kind} is none of a lease’s.`);
  }
}

function withSlip(lease: TheirLease, slip: Extract<Departure, { kind: "slip" }>): TheirLease {
  switch (slip.slip) {
    case "downForgotten":
      return { ...lease, down: 0 };
    case "downTwice":
      return { ...lease, down: 2 * lease.down };
    case "payments":
      return { ...lease, payments: slip.to };
    case "chargeFinanced":
      return { ...lease, isPlatesFinanced: true };
    case "chargeAtSigning":
      return { ...lease, isAcquisitionAtSigning: true };
    case "residualBase":
      return { ...lease, residualOf: slip.of };
    case "taxBase":
      if (slip.what === "payment") return { ...lease, isTaxedOnPayment: false };
      // At signing, where it changes no payment.
      return lease;
    case "digits":
      if (slip.figure === "moneyFactor") return { ...lease, factor: slip.to };
      if (slip.figure === "payments") return { ...lease, payments: Number(slip.to) };
      if (slip.figure === "residual") return { ...lease, residualPercent: slip.to.replace(" %", "") };
      if (slip.figure === "price" || slip.figure === "down")
        return { ...lease, [slip.figure]: Number(slip.to) };
      throw new Error(`${slip.figure} is none of a lease’s.`);
    default:
      throw new Error(`${slip.slip} is none of a lease’s.`);
  }
}
