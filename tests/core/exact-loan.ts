// An independent computation of a level loan in exact whole numbers, sharing no code with the core. The
// payment comes from adding up discount factors one by one, not from the closed formula.

export type ExactLoan = {
  amount: bigint;
  /** Yearly rate in percent as typed, and twelve periods a year. */
  yearlyRate: string;
  payments: number;
  rounding: "nearest" | "up" | "down";
  /** First period in thirtieths of a month. */
  firstThirtieths: bigint;
};

export type ExactRow = { payment: bigint; interest: bigint; principal: bigint; balance: bigint };

function divide(numerator: bigint, denominator: bigint, rounding: ExactLoan["rounding"]): bigint {
  const quotient = numerator / denominator;
  const remainder = numerator - quotient * denominator;
  if (remainder === 0n || rounding === "down") return quotient;
  if (rounding === "up") return quotient + 1n;
  return remainder + remainder >= denominator ? quotient + 1n : quotient;
}

/** The monthly rate as `a / b`, straight from the typed digits. */
function monthlyRate(yearlyRate: string): [a: bigint, b: bigint] {
  const [whole = "0", decimals = ""] = yearlyRate.split(".");
  return [BigInt(whole + decimals), 10n ** BigInt(decimals.length) * 1200n];
}

export function exactPayment({ amount, yearlyRate, payments, rounding, firstThirtieths }: ExactLoan): bigint {
  const [a, b] = monthlyRate(yearlyRate);
  // Worth of all payments of 1 at the first payment: 1 + v + v² + … with v = b / (a + b), over (a + b)^(n−1).
  let worth = 0n;
  let scale = 1n;
  for (let k = 0; k < payments; k++) {
    worth = worth * b + scale;
    scale *= a + b;
  }
  // Horner's scheme above gives Σ b^k (a+b)^(n−1−k), whose common denominator is (a+b)^(n−1).
  const denominator = scale / (a + b);
  // The loan at the first payment, with simple interest for the first period.
  const owedNumerator = amount * (30n * b + a * firstThirtieths);
  return divide(owedNumerator * denominator, 30n * b * worth, rounding);
}

/** The table, or undefined where the balance passes 2^50. */
export function exactTable(loan: ExactLoan, payment: bigint): ExactRow[] | undefined {
  const [a, b] = monthlyRate(loan.yearlyRate);
  const rows: ExactRow[] = [];
  let owed = loan.amount;
  for (let number = 1; number <= loan.payments; number++) {
    const interest =
      number === 1
        ? divide(owed * a * loan.firstThirtieths, b * 30n, "nearest")
        : divide(owed * a, b, "nearest");
    const isLast = number === loan.payments || owed + interest <= payment;
    const paid = isLast ? owed + interest : payment;
    owed = owed + interest - paid;
    rows.push({ payment: paid, interest, principal: paid - interest, balance: owed });
    if (isLast) return rows;
    if (owed > 2n ** 50n) return undefined;
  }
  return rows;
}
