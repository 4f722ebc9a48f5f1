import { addMonths, periodsPerYear } from "../../calendar";
import { type Earning, type PaymentRow, repayFlatRate } from "../../kinds/loan/plan";
import { type LoanQuote, machineOf } from "../../kinds/loan/quote";

/** How a flat-rate loan may refund its charge, and the loan as it then pays off. */
type RefundLaw = { quote: LoanQuote; methods: readonly Earning[]; note?: string };

const BOTH: readonly Earning[] = ["actuarial", "sumOfDigits"];

/** The longest term in months whose charge may be refunded by the sum of the digits: 15 U.S.C. 1615(b). */
const LONGEST_BY_DIGITS = 61;

const NOT_BY_DIGITS =
  "In the United States the refund by the sum of the digits is not allowed on terms over 61 months (15 U.S.C. 1615(b)); the payoff is by the actuarial method.";

/**
 * What the law of a place makes of a flat-rate loan's refund: in the United States a longer one for personal use is
 * refunded by the actuarial method alone. A plan that says otherwise pays off by that.
 *
 * @param quote an answered deal
 * @param place by ISO 3166-1; none where it was not said
 */
export function refundLaw(quote: LoanQuote, place: string | undefined): RefundLaw {
  const { loan } = machineOf(quote);
  const { flat } = loan.draft;
  if (!flat || place !== "US" || !isLonger(quote)) return { quote, methods: BOTH };
  if (flat.earning === "actuarial") return { quote, methods: ["actuarial"] };
  const schedule: PaymentRow[] = [];
  repayFlatRate(loan, { ...flat, earning: "actuarial" }, schedule);
  return { quote: { ...quote, schedule }, methods: ["actuarial"], note: NOT_BY_DIGITS };
}

function isLonger({ startDate, finalDate, plannedPayments, filled }: LoanQuote): boolean {
  return startDate !== null && finalDate !== null
    ? finalDate > addMonths(startDate, LONGEST_BY_DIGITS)
    : plannedPayments * 12 > LONGEST_BY_DIGITS * periodsPerYear(filled.plan.frequency);
}
