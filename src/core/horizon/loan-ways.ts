import { payoffOn } from "../after";
import type { DayNumber } from "../calendar";
import type { LoanQuote } from "../kinds/loan";
import { chargeColumn } from "../structure";
import { monthsSince, yearsOf } from "./time";
import { type Ending, type Flow, flow, takenBy, type Way, type WayTerms } from "./way";

/**
 * The ways of a loan with dates: paid as agreed, or off on the day, and the vehicle sold; and given back where its balloon
 * is agreed to allow that.
 */
export function loanWays(quote: LoanQuote, terms: WayTerms): Way[] {
  const signed = quote.startDate as DayNumber;
  const flows = loanFlows(quote, signed);
  const end = quote.finalDate as DayNumber;
  const returned = returnedWay(quote, flows, terms);
  const isHandedBack = returned !== undefined && terms.after === "handBack";
  const sold: Way = {
    option: terms.option,
    end: "sold",
    signed,
    flows,
    endDate: end,
    endingOn: date => {
      if (isHandedBack && date > end) return null;
      const payoff = date < end ? payoffOn(quote, date, { place: terms.place }) : null;
      const { payoff: owed, earlyFee } = payoff?.ok ? payoff.value : { payoff: 0, earlyFee: 0 };
      return {
        how: "sold",
        taken: takenBy(flows, date),
        more: [...flow(date, owed, "payoff"), ...flow(date, earlyFee, "prepaymentCharge")],
        driven: [],
        worth: { age: monthsSince(signed, date), isFirst: true },
        owed,
      };
    },
  };
  return returned ? [sold, returned] : [sold];
}

/** Everything that is paid as agreed: with {@link LoanQuote.totalCost}, what was given beside the cash too. */
function loanFlows(quote: LoanQuote, signed: DayNumber): Flow[] {
  const { schedule, dueAtSigning, totalCost } = quote;
  const charges = quote.charges && chargeColumn(schedule, quote.charges.all);
  const later = schedule.flatMap(({ date, payment }, index) => {
    const amount = payment + (charges?.[index] ?? 0);
    return date === null || date <= signed ? [] : flow(date, amount, "payment");
  });
  const paid = later.reduce((sum, { amount }) => sum + amount, dueAtSigning.total);
  return [
    ...flow(signed, dueAtSigning.total, "atSigning"),
    ...flow(signed, totalCost - paid, "given"),
    ...later,
  ];
}

/** The vehicle given back in place of its balloon, where that is agreed; no vehicle is left from then on. */
function returnedWay(
  quote: LoanQuote,
  flows: readonly Flow[],
  { option, scaleOf, after }: WayTerms,
): Way | undefined {
  const returnable = quote.filled.plan.balloon?.returnable;
  const balloon = quote.schedule.findLast(({ kind }) => kind === "balloon");
  if (!returnable || !balloon?.date || balloon.payment === 0) return undefined;
  const signed = quote.startDate as DayNumber;
  const end = balloon.date;
  const paid = withoutBalloon(flows, balloon.payment);
  const { fee, distance } = returnable;
  const scale = distance && scaleOf(distance.unit);
  const years = yearsOf(monthsSince(signed, end));
  const own = [...paid, ...flow(end, fee, "handedBack")];
  const ending: Ending = {
    how: "returned",
    taken: own.length,
    more: [],
    driven:
      distance && scale
        ? [{ perYear: distance.perYear, price: distance.beyond, years, scale, date: end }]
        : [],
    worth: null,
    owed: null,
  };
  const later: Ending | null = after === "handBack" ? { ...ending, how: "handedBack" } : null;
  return {
    option,
    end: "returned",
    signed,
    flows: own,
    endDate: end,
    endingOn: date => (date < end ? null : date === end ? ending : later),
  };
}

/** The balloon is the last money, alone or with the last payment of that day. */
function withoutBalloon(flows: readonly Flow[], balloon: number): Flow[] {
  const index = flows.findLastIndex(({ amount, name }) => name === "payment" && amount === balloon);
  return flows.filter((_, at) => at !== index);
}
