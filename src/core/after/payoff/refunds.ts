import {
  type Earning,
  type Flat,
  type Loan,
  type PaymentRow,
  repayFlatRate,
  type Share,
  shareOf,
} from "../../kinds/loan/plan";

/** A flat-rate loan's payoff by one way of earning its charge, in minor units. */
export type Refund = {
  method: Earning;
  /** The part of the finance charge that is not earned yet and need not be paid. */
  refund: number;
  payoff: number;
};

/**
 * What the ways of refunding a flat-rate charge make of a payoff.
 *
 * Actuarial: each period earns interest at the loan's true rate on what is then owed. Sum of the digits: of n
 * payments the first period earns n parts, the next n − 1, of n (n + 1) ÷ 2 parts in all.
 *
 * @param loan a flat-rate loan
 * @param flat its flat rate
 * @param after how many payments are made
 * @param share how much of the next period has passed
 * @param methods the ways that may be used
 */
export function refundsAfter(
  loan: Loan,
  flat: Flat,
  after: number,
  share: Share,
  methods: readonly Earning[],
): Refund[] {
  const charge = flat.charge(loan.amount);
  return methods.map(method => {
    const rows: PaymentRow[] = [];
    repayFlatRate(loan, { ...flat, earning: method }, rows);
    const made = rows.slice(0, after);
    const accrued = shareOf(rows[after]?.interest ?? 0, share);
    const earned = made.reduce((sum, { interest }) => sum + interest, 0) + accrued;
    const balance = made.at(-1)?.balance ?? loan.amount;
    return { method, refund: charge - earned, payoff: balance + accrued };
  });
}
