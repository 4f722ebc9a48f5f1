// An independent computation of a structure in exact whole numbers, from the deal file's own words, sharing no code with
// the core: given a loan, what each line comes to, and what the lines add up to.
import type { LoanFile } from "@/exchange/kinds/loan";

type Structure = LoanFile["structure"];
type Charge = NonNullable<Structure["fees"]>[number] | NonNullable<Structure["extras"]>[number];

/** The loan that lines are reckoned from, in cents. */
export type ExactLent = { loanAmount: bigint; totalOfPayments: bigint; atSigning: bigint; paidTimes: bigint };

export type ExactStructure = {
  taxes: bigint[];
  down: bigint;
  /** What the lines add up to. */
  sum: bigint;
  prepaid: bigint;
  due: bigint;
  /** Besides the payments of the loan. */
  ownCost: bigint;
  chargesInFinanceCharge: bigint;
  cashReceived: bigint;
};

/** Cents of an amount in a file. */
export function cents(amount: string | number | undefined): bigint {
  const [whole = "0", part = ""] = String(amount ?? "0").split(".");
  return BigInt(whole) * 100n + BigInt(part.padEnd(2, "0"));
}

/** A percent as typed, over a hundred, as a fraction. */
function share(percent: string | number | undefined): [bigint, bigint] {
  const [whole = "0", part = ""] = String(percent ?? "0").split(".");
  return [BigInt(whole + part), 10n ** BigInt(part.length) * 100n];
}

function rounded(numerator: bigint, denominator: bigint, rule = "nearest"): bigint {
  const floor = numerator / denominator;
  const twice = 2n * (numerator - floor * denominator);
  if (rule === "down" || twice === 0n) return floor;
  return rule === "up" || twice >= denominator ? floor + 1n : floor;
}

const total = (amounts: bigint[]) => amounts.reduce((sum, each) => sum + each, 0n);

/** What a structure comes to where its loan is the one assumed. */
export function exactStructure(file: Structure, lent: ExactLent): ExactStructure {
  const price = cents(file.price);
  const comesTo = (charge: Charge) => {
    if (charge.percentOf === undefined) return cents(charge.amount);
    const [numerator, denominator] = share(charge.percent);
    const of = { price, loanAmount: lent.loanAmount, totalOfPayments: lent.totalOfPayments }[
      charge.percentOf
    ];
    return rounded(of * numerator, denominator);
  };
  const fees = (file.fees ?? []).map(charge => ({ charge, amount: comesTo(charge) }));
  const extras = (file.extras ?? []).map(charge => ({ charge, amount: comesTo(charge) }));
  const all: { charge: Charge; amount: bigint }[] = [...fees, ...extras];
  const tradeIns = file.tradeIns ?? (file.tradeIn ? [file.tradeIn] : []);
  const allowances = total(tradeIns.map(({ allowance }) => cents(allowance)));
  const owed = total(tradeIns.map(each => cents(each.owed)));
  const taxes = exactTaxes(file, price, allowances, { fees, extras });
  const included = file.taxIncluded ?? false;
  const taxTotal = included ? 0n : total(taxes);
  const taxOf = (financed: boolean) =>
    included ? 0n : total(taxes.filter((_, index) => (file.taxes?.[index]?.financed ?? true) === financed));

  const isFinanced = ({ charge }: { charge: Charge }) =>
    charge.with === undefined && charge.financed !== false && !("keptBack" in charge && charge.keptBack);
  const isKept = ({ charge }: { charge: Charge }) => "keptBack" in charge && charge.keptBack === true;
  const isAtSigning = ({ charge }: { charge: Charge }) =>
    charge.with === undefined && charge.financed === false;
  const sumOf = (counts: (each: { charge: Charge; amount: bigint }) => boolean) =>
    total(all.filter(counts).map(({ amount }) => amount));
  const counted = ({ charge }: { charge: Charge }) => charge.financeCharge === true;

  const withPayments = (counts: (each: { charge: Charge }) => boolean) =>
    total(
      all
        .filter(each => each.charge.with !== undefined && counts(each))
        .map(({ charge, amount }) => (charge.with === "eachPayment" ? amount * lent.paidTimes : amount)),
    );
  const atSigningBesides =
    sumOf(isAtSigning) +
    taxOf(false) +
    lent.atSigning +
    (lent.atSigning > 0n
      ? sumOf(
          ({ charge }) =>
            charge.with === "firstPayment" ||
            charge.with === "eachPayment" ||
            // The only payment is the last one, too.
            (charge.with === "lastPayment" && lent.paidTimes === 1n),
        )
      : 0n);
  const down = exactDown(
    file,
    price,
    atSigningBesides,
    () =>
      price +
      taxTotal +
      sumOf(
        ({ charge }) =>
          charge.with === undefined && (charge.percentOf === undefined || charge.percentOf === "price"),
      ),
  );
  const rebates = total((file.rebates ?? []).map(({ amount }) => cents(amount)));
  const deposit = cents(file.deposit);
  const sum = price + taxOf(true) + sumOf(isFinanced) - rebates - allowances + owed - deposit - down;
  return {
    taxes,
    down,
    sum,
    prepaid: sumOf(each => counted(each) && each.charge.with === undefined),
    due: down + atSigningBesides,
    ownCost:
      withPayments(() => true) + down + sumOf(isAtSigning) + taxOf(false) + deposit + allowances - owed,
    chargesInFinanceCharge: withPayments(counted),
    cashReceived:
      lent.loanAmount -
      sumOf(isFinanced) -
      sumOf(isKept) -
      total((file.payoffs ?? []).map(({ amount }) => cents(amount))),
  };
}

function exactDown({ down }: Structure, price: bigint, besides: bigint, totalOf: () => bigint): bigint {
  if (down === undefined) return 0n;
  if ("amount" in down) return cents(down.amount);
  if ("dueAtSigning" in down) return cents(down.dueAtSigning) - besides;
  const [numerator, denominator] = share(down.percent);
  return rounded((down.of === "total" ? totalOf() : price) * numerator, denominator);
}

function exactTaxes(
  file: Structure,
  price: bigint,
  allowances: bigint,
  lines: Record<"fees" | "extras", { charge: Charge; amount: bigint }[]>,
): bigint[] {
  const taxes = file.taxes ?? [];
  const rates = taxes.map(({ rate }) => share(rate));
  return taxes.map((tax, index) => {
    const named =
      (tax.on.includes("price") ? price : 0n) +
      taxable(tax, lines.fees, "fees") +
      taxable(tax, lines.extras, "extras");
    const rate = rates[index] ?? [0n, 1n];
    return file.taxIncluded
      ? containedTax(tax, named, rate, rates)
      : addedTax(tax, named - credited(tax, file, allowances), rate);
  });
}

type TaxFile = NonNullable<Structure["taxes"]>[number];
type Lines = { charge: Charge; amount: bigint }[];

function taxable({ on }: TaxFile, lines: Lines, name: "fees" | "extras"): bigint {
  if (!on.includes(name)) return 0n;
  return total(lines.filter(({ charge }) => charge.taxable).map(({ amount }) => amount));
}

/** rate ÷ (1 + all rates), over the common denominator of all rates. */
function containedTax(
  { rounding }: TaxFile,
  named: bigint,
  [numerator, denominator]: [bigint, bigint],
  rates: [bigint, bigint][],
): bigint {
  const common = rates.reduce((product, [, each]) => product * each, 1n);
  const all = rates.reduce((sum, [part, each]) => sum + (part * common) / each, common);
  return rounded(named * ((numerator * common) / denominator), all, rounding);
}

function addedTax(tax: TaxFile, named: bigint, [numerator, denominator]: [bigint, bigint]): bigint {
  let base = named < 0n ? 0n : named;
  if (tax.capOn !== undefined && base > cents(tax.capOn)) base = cents(tax.capOn);
  const amount = rounded(base * numerator, denominator, tax.rounding);
  return tax.cap !== undefined && amount > cents(tax.cap) ? cents(tax.cap) : amount;
}

/** Trade-ins and rebates that lower what is taxed. */
function credited(tax: TaxFile, file: Structure, allowances: bigint): bigint {
  const rebates = (file.rebates ?? []).filter(({ beforeTax }) => beforeTax || tax.rebateCredit);
  const rebated = total(rebates.map(({ amount }) => cents(amount)));
  const { tradeInCredit: credit = false } = tax;
  if (typeof credit === "boolean") return rebated + (credit ? allowances : 0n);
  const most = cents(credit);
  return rebated + (most < allowances ? most : allowances);
}
