// Leases by whole-number arithmetic and 60 decimal places, written from the words of the deal file and not from the core.
import { Decimal } from "decimal.js";
import type { LeaseFile } from "@/exchange/kinds/lease";

const Exact = Decimal.clone({ precision: 60 });
type Tax = NonNullable<LeaseFile["plan"]["taxes"]>[number];
type Charge = NonNullable<LeaseFile["structure"]["fees"]>[number];

const PER_YEAR = {
  weekly: 52,
  everyTwoWeeks: 26,
  twiceAMonth: 24,
  monthly: 12,
  everyTwoMonths: 6,
  quarterly: 4,
  halfYearly: 2,
  yearly: 1,
};

const cents = (typed: string | number | undefined) => new Exact(typed ?? 0).times(100).round().toNumber();

function rounded(value: Decimal, rule: "nearest" | "up" | "down" = "nearest"): number {
  const modes = { nearest: Decimal.ROUND_HALF_CEIL, up: Decimal.ROUND_CEIL, down: Decimal.ROUND_FLOOR };
  // A value within 1e-40 of a tie, or of a whole number, is that: what divides is cut off after 60 digits.
  return value.toDecimalPlaces(40).toDecimalPlaces(0, modes[rule]).plus(0).toNumber() + 0;
}

const percentOf = (amount: number, percent: string | number, rule?: "nearest" | "up" | "down") =>
  rounded(new Exact(amount).times(percent).div(100), rule);

const paidAtOnce = ({ plan }: LeaseFile) => (plan.inAdvance ?? 0) === plan.payments;

function periods({ plan }: LeaseFile) {
  const n = plan.payments ?? 0;
  const later = n - (plan.inAdvance ?? 0);
  const residualAt = { lastPayment: later, onePeriodAfter: later + 1, end: n }[plan.residualDue ?? "end"];
  return { n, later, residualAt, atSigning: plan.inAdvance ?? 0 };
}

export function exactResidual({ plan, structure }: LeaseFile): number {
  const { residual } = plan;
  if (!residual) return 0;
  if ("amount" in residual) return cents(residual.amount);
  const of = (residual.of ?? "listPrice") === "listPrice" ? structure.listPrice : structure.price;
  return percentOf(cents(of), residual.percent);
}

/** The payment before tax, from the textbook's formulas. */
export function exactBasePayment(file: LeaseFile, cost: number): number {
  const { plan } = file;
  const residual = exactResidual(file);
  const { n, later, residualAt, atSigning } = periods(file);
  const perYear = PER_YEAR[plan.frequency];
  const step = plan.roundingStep === undefined ? 1 : cents(plan.roundingStep);
  const count = paidAtOnce(file) ? n : 1;
  let exact: Decimal;
  if (plan.reckoning === "moneyFactor") {
    const depreciation = new Exact(cost - residual).div(n);
    const rent = new Exact(cost + residual)
      .times(plan.moneyFactor ?? 0)
      .times(12)
      .div(perYear);
    exact = depreciation.plus(rent).times(count);
  } else {
    const i = new Exact(plan.yearlyRate ?? 0).div(100).div(perYear);
    const worth = (period: number) => new Exact(1).plus(i).pow(-period);
    let annuity = new Exact(atSigning);
    for (let period = 1; period <= later; period++) annuity = annuity.plus(worth(period));
    const left = new Exact(cost).minus(worth(residualAt).times(residual));
    exact = paidAtOnce(file) ? left : left.div(annuity);
  }
  return rounded(exact.div(step), plan.rounding) * step;
}

const taxOf = ({ rate, rounding, capOn, cap }: Tax, sum: number) => {
  const base = capOn === undefined ? sum : Math.min(sum, cents(capOn));
  const amount = percentOf(base, rate, rounding);
  return { base, amount: cap === undefined ? amount : Math.min(amount, cents(cap)) };
};

const ONCE: string[] = ["price", "fees", "extras", "reduction", "sumOfPayments"];

/** The most of trade-ins that a tax credits. */
function mostCredited({ tradeInCredit = false }: Tax): number {
  if (typeof tradeInCredit !== "boolean") return cents(tradeInCredit);
  return tradeInCredit ? Number.POSITIVE_INFINITY : 0;
}

const taxable = (charges: readonly (Charge & { comesTo: number })[]) =>
  sumOf(charges.filter(charge => charge.taxable).map(charge => charge.comesTo));

const sumOf = (amounts: readonly number[]) => amounts.reduce((sum, amount) => sum + amount, 0);

function exactSecurity({ plan: { securityDeposit: held } }: LeaseFile, payment: number): number {
  if (held === undefined) return 0;
  if ("amount" in held) return cents(held.amount);
  const step = cents(held.roundedUpTo);
  return Math.ceil(payment / step) * step;
}

/** What a lease comes to, where what is reckoned from its cost is reckoned from a given one. */
export function exactLease(file: LeaseFile, cost: number, givenCash: number) {
  const { structure, plan } = file;
  const price = cents(structure.price);
  const residual = exactResidual(file);
  const base = exactBasePayment(file, cost);
  const rows = paidAtOnce(file) ? 1 : (plan.payments ?? 0);
  const amountOf = ({ amount, percentOf: of, percent }: Charge) => {
    if (of === undefined) return cents(amount);
    return percentOf({ price, loanAmount: cost, totalOfPayments: rows * base }[of], percent ?? 0);
  };
  const fees = (structure.fees ?? []).map(fee => ({ ...fee, comesTo: amountOf(fee) }));
  const extras = (structure.extras ?? []).map(extra => ({ ...extra, comesTo: amountOf(extra) }));
  const charges = [...fees, ...extras];
  const total = (which: (charge: (typeof charges)[number]) => boolean) =>
    sumOf(charges.filter(which).map(({ comesTo }) => comesTo));
  const acquisition = cents(plan.acquisitionFee?.amount);
  const isAcquired = plan.acquisitionFee?.financed ?? true;
  const tradeIns = structure.tradeIns ?? [];
  const allowances = sumOf(tradeIns.map(({ allowance }) => cents(allowance)));
  const equity = allowances - sumOf(tradeIns.map(({ owed }) => cents(owed)));
  const rebates = structure.rebates ?? [];
  const allRebates = sumOf(rebates.map(({ amount }) => cents(amount)));
  const cash = givenCash;

  const taxes = (plan.taxes ?? [])
    .filter(({ on }) => on.some(part => ONCE.includes(part)))
    .map(tax => {
      const credited = sumOf(
        rebates.filter(({ beforeTax }) => beforeTax || tax.rebateCredit).map(({ amount }) => cents(amount)),
      );
      const most = mostCredited(tax);
      const sumOn: Record<string, number> = {
        price,
        fees: taxable(fees) + (plan.acquisitionFee?.taxable ? acquisition : 0),
        extras: taxable(extras),
        reduction: Math.max(cash, 0) + allRebates - credited + Math.max(Math.max(equity, 0) - most, 0),
        sumOfPayments: rows * base,
      };
      const on = (...parts: string[]) =>
        sumOf(parts.filter(part => (tax.on as string[]).includes(part)).map(part => sumOn[part] ?? 0));
      const lines = on("price", "fees", "extras") - Math.min(allowances, most) - credited;
      const sum = Math.max(lines, 0) + on("reduction", "sumOfPayments");
      return { name: tax.name, ...taxOf(tax, sum), financed: tax.financed ?? true };
    });

  const gross =
    price +
    total(charge => charge.financed !== false && charge.with === undefined) +
    (isAcquired ? acquisition : 0) +
    sumOf(taxes.filter(tax => tax.financed).map(tax => tax.amount)) +
    Math.max(-equity, 0) +
    Math.max(-cash, 0);
  const deposit = cents(structure.deposit);
  const reduction = Math.max(equity, 0) + allRebates + deposit + Math.max(cash, 0);
  const paymentTax = sumOf(
    (plan.taxes ?? []).filter(tax => tax.on.includes("payment")).map(tax => taxOf(tax, base).amount),
  );
  const payment = base + paymentTax;
  const security = exactSecurity(file, payment);
  const withFirst = total(({ with: when }) => when === "firstPayment");
  const withLast = total(({ with: when }) => when === "lastPayment");
  const withEach = total(({ with: when }) => when === "eachPayment");
  const { atSigning } = periods(file);
  const firstRows = paidAtOnce(file) ? 1 : atSigning;
  const feesAtSigning =
    total(charge => charge.financed === false && charge.with === undefined) +
    (isAcquired ? 0 : acquisition) +
    sumOf(taxes.filter(tax => !tax.financed).map(tax => tax.amount));
  const paymentsAtSigning =
    firstRows === 0 ? 0 : firstRows * (payment + withEach) + withFirst + (paidAtOnce(file) ? withLast : 0);
  const paid = rows * (payment + withEach) + withFirst + withLast + feesAtSigning + cash + deposit;
  const disposition = cents(plan.dispositionFee);
  const purchase = residual + cents(plan.purchaseFee);
  const purchaseTax = sumOf(
    (plan.taxes ?? []).filter(tax => tax.on.includes("purchase")).map(tax => taxOf(tax, purchase).amount),
  );
  return {
    cost: gross - reduction,
    gross,
    reduction,
    base,
    payment,
    taxes: taxes.map(({ name, base: of, amount }) => ({ name, base: of, amount })),
    security,
    due: cash + paymentsAtSigning + security + feesAtSigning,
    totalOfPayments: paid + Math.max(equity, 0) + allRebates + disposition,
    totalIfReturned: paid + equity + disposition,
    totalIfBought: paid + equity + purchase + purchaseTax,
    depreciation: cost - residual,
    rentCharge: rows * base - (cost - residual),
  };
}

/** The rate of a period at which the flows are worth the cost; undefined where nothing is left to bear one. */
export function exactRate(file: LeaseFile, cost: number, base: number): Decimal | undefined {
  const residual = exactResidual(file);
  const { later, residualAt, atSigning } = periods(file);
  const left = cost - base * (paidAtOnce(file) ? 1 : atSigning);
  if (left <= 0 || (later === 0 && residual === 0)) return undefined;
  // Newton's steps in the discount of a period, from where the worth is above what is left.
  const flows = Array.from(
    { length: residualAt },
    (_, k) => (k < later ? base : 0) + (k + 1 === residualAt ? residual : 0),
  );
  let v = new Exact(1);
  for (let step = 0; step < 200; step++) {
    let [value, slope] = [new Exact(0), new Exact(0)];
    for (const flow of flows.toReversed()) {
      slope = slope.times(v).plus(value);
      value = value.times(v).plus(flow);
    }
    slope = slope.times(v).plus(value);
    value = value.times(v).minus(left);
    const change = value.div(slope);
    v = v.minus(change);
    if (change.abs().lessThan("1e-50")) break;
  }
  return new Exact(1).div(v).minus(1);
}

/** The lessor's table: rents and balances, row by row. */
export function exactTable(file: LeaseFile, cost: number, base: number, implicit: Decimal) {
  const { plan } = file;
  const { later, residualAt, atSigning } = periods(file);
  const residual = exactResidual(file);
  const rate =
    plan.reckoning === "levelYield"
      ? new Exact(plan.yearlyRate ?? 0).div(100).div(PER_YEAR[plan.frequency])
      : implicit;
  const rows: { rent: number; balance: number }[] = [];
  let balance = cost;
  for (let row = 0; row < (paidAtOnce(file) ? 1 : atSigning); row++) {
    balance -= base;
    rows.push({ rent: 0, balance });
  }
  for (let period = 1; period <= later; period++) {
    const rent = period === residualAt ? base - balance + residual : rounded(new Exact(balance).times(rate));
    balance += rent - base;
    rows.push({ rent, balance });
  }
  if (residualAt > later) rows.push({ rent: residual - balance, balance: residual });
  return rows;
}
