import { FREQUENCY_NAMES, groupedAmount, isoDate, type LoanQuote, type PaymentRow } from "@/core";

/**
 * Why a line of a repayment table is other than the usual: the odd first period, extra money, nothing due, just interest, a
 * step, the balloon, the last payment.
 *
 * @param quote an answered deal
 * @param rows its table, or the one with what is tried beside the plan
 * @param place the line's place in it
 * @returns plain sentences, amounts without their currency; undefined where nothing is to be said
 * @example whyLine(quote, quote.schedule, 71) // "The last payment takes what is left: 642.17 and its interest of 3.47, 0.10 less than the payment before it."
 */
export function whyLine(quote: LoanQuote, rows: readonly PaymentRow[], place: number): string | undefined {
  const row = rows[place];
  if (!row) return undefined;
  const sentences = [
    oddFirst(quote, row),
    ofKind(quote, row, rows[place - 1]),
    step(quote, row),
    last(quote, rows, place),
  ];
  return sentences.filter(Boolean).join(" ") || undefined;
}

const moneyOf =
  ({ decimals }: LoanQuote) =>
  (minor: number) =>
    groupedAmount(minor, decimals);

function oddFirst(quote: LoanQuote, { number, kind, interest }: PaymentRow): string {
  const { oddFirstPeriod: odd, filled } = quote;
  if (!odd || number !== 1 || kind === "extra") return "";
  const { period } = FREQUENCY_NAMES[filled.plan.frequency];
  const days = `${odd.days} ${odd.days === 1 ? "day" : "days"}`;
  const months = `${odd.months} ${odd.months === 1 ? "month" : "months"}`;
  const length = odd.months === 0 ? days : odd.days === 0 ? months : `${months} and ${days}`;
  return `The first period has ${length} instead of one ${period}, so that its interest is ${moneyOf(quote)(interest)}.`;
}

function ofKind(quote: LoanQuote, row: PaymentRow, before: PaymentRow | undefined): string {
  const money = moneyOf(quote);
  const { kind, interest, payment, principal } = row;
  switch (kind) {
    case "noPayment":
      return principal < 0
        ? `Nothing is due: the interest of ${money(interest)} is added to what is owed.`
        : "Nothing is due, and no interest is charged.";
    case "interestOnly":
      return principal === 0 ? `Just the interest is due; what is owed stays ${money(row.balance)}.` : "";
    case "balloon":
      return payment < quote.agreedBalloon
        ? `Due at the end. The ${money(quote.agreedBalloon)} agreed were lowered by extra payments.`
        : "Due at the end, as agreed.";
    case "extra":
      return extra(row, before, money);
    default:
      return "";
  }
}

function extra(row: PaymentRow, before: PaymentRow | undefined, money: (minor: number) => string): string {
  const { number, date, payment, principal, interest, asked } = row;
  const isAfter = before !== undefined && before.number === number;
  const when = isAfter ? `right after payment ${number}` : date === null ? "" : `on ${isoDate(date)}`;
  const goes =
    interest > 0
      ? `${money(principal)} of it goes to principal and ${money(interest)} to interest since the last payment`
      : "all of it goes to principal";
  const trimmed = asked === undefined ? "" : ` Of the ${money(asked)} no more is taken than is owed.`;
  return `${money(payment)} comes ${when}: ${goes}.${trimmed}`;
}

function step(quote: LoanQuote, { number, kind }: PaymentRow): string {
  const agreed = quote.filled.plan.steps?.find(({ from }) => from === number);
  if (!agreed || kind !== "payment") return "";
  if ("amount" in agreed)
    return `From this payment on each is ${groupedAmount(agreed.amount, quote.decimals)}, as agreed.`;
  const isLess = agreed.percent.startsWith("-");
  return `From this payment on each is ${agreed.percent.replace("-", "")} % ${isLess ? "less" : "more"} than before.`;
}

/** The last payment, which takes what is left. */
function last(quote: LoanQuote, rows: readonly PaymentRow[], place: number): string {
  const row = rows[place];
  const isPayment = ({ kind }: PaymentRow) => kind === "payment" || kind === "interestOnly";
  if (!row || !isPayment(row) || rows.findLastIndex(isPayment) !== place || quote.isListed) return "";
  const money = moneyOf(quote);
  const owed = row.balance + row.principal;
  const usual = rows.slice(0, place).findLast(({ kind }) => kind === "payment")?.payment;
  const stays = row.balance > 0 ? `, less the ${money(row.balance)} that stay owing` : "";
  const less = usual === undefined ? 0 : usual - row.payment;
  const beside =
    less === 0 ? "" : `, ${money(Math.abs(less))} ${less > 0 ? "less" : "more"} than the payment before it`;
  return `The last payment takes what is left: ${money(owed)} and its interest of ${money(row.interest)}${stays}${beside}.`;
}
