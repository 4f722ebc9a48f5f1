import { isoDate } from "../../calendar";
import { factorOf, PERCENT_OF_FACTOR } from "../../interest";
import { MOST_PAYMENTS } from "../../limits";
import { currencyDecimals, groupedAmount } from "../../money";
import { failure, type Result, success } from "../../result";
import { lastWhole } from "../../solve";
import { isDownFromDue } from "../../structure";
import { askingPayment, DUE_IS_GIVEN, type GivingWay, type Move, opened, type Wanted } from "../kind";
import { evaluateLease } from "./evaluate";
import { LEASE_NAMES } from "./find";
import type { LeaseDeal, LeaseKnown, LeaseQuote } from "./pricing";

/** What can give way of a lease by being another number. */
type Moving = "price" | "down" | "allowance" | "residual" | "moneyFactor" | "yearlyRate" | "payments";

/** A lease that asks for its payment, with its answer. */
type Answered = { deal: LeaseDeal; quote: LeaseQuote };

/** What of a lease can give way. */
export const LEASE_GIVING_WAY: GivingWay<LeaseDeal, Answered> = {
  wanted: ["payment", "basePayment", "dueAtSigning", "totalIfReturned", "totalIfBought", "endDate"],
  figures({ deal: { plan } }) {
    const rate = plan.reckoning === "moneyFactor" ? "moneyFactor" : "yearlyRate";
    return ["price", "down", "allowance", "residual", rate, "payments"];
  },
  others(now, wanted) {
    const { deal, quote } = now;
    return deal.plan.inAdvance < quote.payments ? [inAdvanceMoved(now, wanted)] : [];
  },
  answer(deal) {
    const quote = evaluateLease(deal);
    return quote.ok ? success({ deal, quote: quote.value }) : quote;
  },
  notMoving({ deal: { structure } }, figure, wanted) {
    if (wanted.figure === "endDate")
      return figure === "payments" ? undefined : "The end date is set by the number of payments.";
    const isGiven = wanted.figure === "dueAtSigning" && isDownFromDue(structure.down);
    return isGiven && figure !== "down" ? DUE_IS_GIVEN : undefined;
  },
  moved(now, moving, wanted) {
    if (wanted.figure === "endDate") return endingBy(now, wanted.value);
    const figure = moving as Moving;
    const open = { ...withOpen(now.deal, figure), find: figure };
    const quote = evaluateLease(
      wanted.figure === "payment"
        ? { ...open, plan: { ...open.plan, payment: wanted.value } }
        : { ...open, from: { figure: wanted.figure as LeaseKnown, value: wanted.value } },
    );
    return quote.ok ? success({ deal: quote.value.filled, quote: quote.value }) : quote;
  },
  value({ quote: { filled, ...quote } }, moving) {
    const figure = moving as Moving;
    switch (figure) {
      case "price":
        return quote.price;
      case "down":
        return quote.down;
      case "allowance":
        return filled.structure.tradeIns[0]?.allowance ?? null;
      case "residual":
        return quote.residual;
      case "payments":
        return quote.payments;
      default:
        return filled.plan[figure];
    }
  },
  standing: ({ quote }) => ({
    payment: quote.payment,
    payments: quote.payments,
    financeCharge: quote.rentCharge,
    totalCost: quote.totalIfReturned,
    dueAtSigning: quote.dueAtSigning.total,
    endDate: quote.finalDate,
  }),
  extras: ({ quote }) => quote.extras,
  ownTradeIn: ({ quote }) => Math.max(quote.equity, 0),
  measure({ quote }, figure) {
    if (figure === "endDate") return quote.finalDate ?? Number.POSITIVE_INFINITY;
    return figure === "dueAtSigning"
      ? quote.dueAtSigning.total
      : quote[figure as Exclude<LeaseKnown, "dueAtSigning">];
  },
  name: figure => (figure === "endDate" ? "end date" : LEASE_NAMES[figure as LeaseKnown]),
  text: ({ deal }, figure, value) => (figure === "endDate" ? isoDate(value) : money(deal, value)),
  nothingWithout: sentence => sentence,
  isSetByTerm: figure => figure === "endDate",
  isGivenByMore: figure => figure === "payment" || figure === "basePayment" || figure === "dueAtSigning",
  overTerm(deal, payments, yearlyRate) {
    const { plan } = deal;
    const isByFactor = plan.reckoning === "moneyFactor";
    const rate = yearlyRate && isByFactor ? factorOf(Number(yearlyRate)) : yearlyRate;
    const at = rate && { [isByFactor ? "moneyFactor" : "yearlyRate"]: rate };
    return {
      deal: askingPayment({ ...deal, plan: { ...plan, payments, ...at } }),
      ...(rate && { rate }),
    };
  },
  yearlyRate: ({ plan: { reckoning, moneyFactor, yearlyRate } }) =>
    reckoning === "moneyFactor" ? String(Number(moneyFactor) * PERCENT_OF_FACTOR) : yearlyRate,
  hasCashOverTerms: false,
};

const money = ({ currency }: LeaseDeal, minor: number) =>
  groupedAmount(minor, currencyDecimals(currency) ?? 2);

/** The lease with a figure open that is to be found. */
function withOpen(lease: LeaseDeal, figure: Moving): LeaseDeal {
  const structure = opened(lease.structure, figure);
  const isOfPlan = structure === lease.structure && figure !== "allowance";
  return { ...lease, structure, plan: isOfPlan ? { ...lease.plan, [figure]: null } : lease.plan };
}

/** The longest term that ends by a date. */
function endingBy({ deal, quote: now }: Answered, date: number): Result<Answered> {
  if (now.finalDate === null) return failure("signed", "An end date needs the contract date; type it.");
  const over = (payments: number) => LEASE_GIVING_WAY.answer({ ...deal, plan: { ...deal.plan, payments } });
  const fewest = Math.max(deal.plan.inAdvance, 1);
  const last = lastWhole(
    payments => {
      const taken = over(payments);
      return taken.ok ? (taken.value.quote.finalDate ?? 0) - date : -1;
    },
    fewest,
    MOST_PAYMENTS,
    now.payments,
  );
  const taken = over(last);
  if (last < fewest || !taken.ok || (taken.value.quote.finalDate ?? 0) > date)
    return failure("payments", `No number of payments ends by ${isoDate(date)}.`);
  return taken;
}

/** How many payments fall at signing: the most, or the fewest, with which the lease gives what is wanted. */
function inAdvanceMoved({ deal }: Answered, wanted: Wanted): Move {
  const { answer, measure, name, standing, text } = LEASE_GIVING_WAY;
  const { inAdvance, payments } = deal.plan;
  const start = { figure: "inAdvance", from: inAdvance } as const;
  // All at once is another kind of lease, with one payment.
  const most = (payments ?? 1) - 1;
  const over = (count: number) => answer({ ...deal, plan: { ...deal.plan, inAdvance: count } });
  const at = (count: number) => {
    const taken = over(count);
    return taken.ok ? measure(taken.value, wanted.figure) : Number.POSITIVE_INFINITY;
  };
  const change = Math.sign(at(most) - at(0));
  if (!Number.isFinite(at(most) - at(0)) || change === 0)
    return {
      ...start,
      sentence: `The ${name(wanted.figure)} moves with the payments in advance by roundings at most.`,
    };
  const difference = (count: number) => at(count) - wanted.value;
  const last =
    change > 0
      ? lastWhole(difference, 0, most, inAdvance)
      : -lastWhole(count => difference(-count), -most, 0, -inAdvance);
  const taken = last >= 0 && last <= most ? over(last) : undefined;
  if (taken?.ok && measure(taken.value, wanted.figure) <= wanted.value)
    return { ...start, to: last, after: standing(taken.value) };
  const said = text({ deal } as Answered, wanted.figure, wanted.value);
  return {
    ...start,
    sentence:
      wanted.figure === "endDate"
        ? `No number of payments in advance gives an end by ${said}.`
        : `No number of payments in advance gives ${withArticle(name(wanted.figure))} of ${said}.`,
  };
}

const withArticle = (name: string) => `${/^[aeiou]/.test(name) ? "an" : "a"} ${name}`;
