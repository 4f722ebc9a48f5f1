import { MOST_PAYMENTS } from "../../limits";
import { swappedDigits } from "./digits";

/** Other numbers of payments that a slip makes of one. */
export function otherTerms(payments: number, perYear: number) {
  const isThere = (to: number) => Number.isInteger(to) && to >= 1 && to <= MOST_PAYMENTS && to !== payments;
  const years = [payments / perYear, payments * perYear].filter(isThere);
  const near = [payments + 1, payments - 1].filter(to => isThere(to) && !years.includes(to));
  const swapped = swappedDigits(String(payments)).filter(
    to => isThere(Number(to)) && !years.includes(Number(to)) && !near.includes(Number(to)),
  );
  return [
    ...years.map(to => ({ slip: "payments", from: payments, to, isYears: true }) as const),
    ...near.map(to => ({ slip: "payments", from: payments, to, isYears: false }) as const),
    ...swapped.map(to => ({ slip: "digits", figure: "payments", from: String(payments), to }) as const),
  ];
}
