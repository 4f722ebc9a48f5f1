import { failure, success } from "../../result";
import { isDownFromDue, needsPlan, ownCostOf } from "../../structure";
import { DUE_IS_GIVEN, type GivingWay, opened, type Wanted } from "../kind";
import { LOAN_AXES } from "./axes";
import { dueAtSigning, type FoundFigure, type LoanDeal } from "./deal";
import { type Answer, answer, dependsOn, MEASURES, withFound } from "./find";
import { amountWithEach, regularPayment } from "./plan";

const NAMES = {
  down: "cash down",
  price: "price",
  allowance: "trade-in allowance",
  yearlyRate: "yearly rate",
  payments: "number of payments",
  balloon: "balloon",
  extraEach: "extra with every payment",
};

/** What can give way of a loan by being another number. */
type Moving = keyof typeof NAMES;

const MOVING = Object.keys(NAMES) as Moving[];

const WANTED = ["payment", "totalCost", "financeCharge", "dueAtSigning", "endDate"] as const;

type LoanWanted = (typeof WANTED)[number];

/** A loan that asks for its payment, with its answer. */
type Answered = { deal: LoanDeal; found: Answer };

const finderOf = (figure: Moving): FoundFigure => (figure === "extraEach" ? "extra" : figure);

/** What of a loan can give way. */
export const LOAN_GIVING_WAY: GivingWay<LoanDeal, Answered> = {
  wanted: WANTED,
  figures: ({ deal }, { figure: wanted }) =>
    MOVING.filter(figure => {
      // An extra moves what is paid in all and until when, never the payment.
      if (figure === "extraEach") return wanted !== "payment" && wanted !== "dueAtSigning";
      const axis = LOAN_AXES[figure];
      return axis !== undefined && (axis.isOf?.(deal) ?? true);
    }),
  answer(deal) {
    const found = answer(deal);
    return found.ok ? success({ deal, found: found.value }) : found;
  },
  notMoving({ deal: { structure } }, moving, { figure }) {
    const moved = moving as Moving;
    const known = figure as LoanWanted;
    if (known === "dueAtSigning" && moved !== "down" && isDownFromDue(structure.down)) return DUE_IS_GIVEN;
    const isTerm = moved === "payments" && known === "endDate";
    if (isTerm || dependsOn(finderOf(moved), known)) return undefined;
    if (known === "endDate")
      return "The end date is set by the number of payments, and by what is paid extra.";
    const [of, by] = [MEASURES[known].name, NAMES[moved]];
    return needsPlan(structure)
      ? `The ${of} moves with the ${by} only by what is reckoned from the payments; move another figure.`
      : `The ${of} does not move with the ${by}.`;
  },
  moved({ deal }, moving, wanted) {
    const figure = moving as Moving;
    const found = withFound(asking(deal, figure, wanted));
    if (!found.ok) return found;
    const taken = LOAN_GIVING_WAY.answer(found.value);
    return taken.ok ? taken : failure("payment", `The ${NAMES[figure]} that gives it gives no loan.`);
  },
  value: ({ deal: { structure, plan }, found: { priced, terms } }, figure) => {
    switch (figure as Moving) {
      case "price":
        return priced.reckoned.price;
      case "down":
        return priced.reckoned.down;
      case "allowance":
        return structure.tradeIns[0]?.allowance ?? null;
      case "yearlyRate":
        return plan.yearlyRate;
      case "payments":
        return terms.payments;
      case "balloon":
        return priced.loan.balloon || null;
      case "extraEach":
        return amountWithEach(priced.loan) || null;
    }
  },
  standing: ({ found: { priced, terms } }) => ({
    payment: regularPayment(priced.loan),
    payments: terms.payments,
    financeCharge: priced.financeCharge,
    totalCost: priced.totalCost,
    dueAtSigning: dueAtSigning(priced).total,
    endDate: priced.repayment.finalDate,
  }),
  extras: ({ found }) => found.priced.reckoned.extras,
  ownTradeIn: ({ found: { priced } }) => ownCostOf(priced.structure, priced.reckoned),
  measure(answered, figure) {
    return LOAN_GIVING_WAY.standing(answered)[figure as LoanWanted] ?? Number.POSITIVE_INFINITY;
  },
  name: figure => MEASURES[figure as LoanWanted].name,
  text: ({ found }, figure, value) => MEASURES[figure as LoanWanted].text(value, found.terms.decimals),
  nothingWithout: () => "Without it nothing is left to finance.",
  isSetByTerm: () => false,
  isGivenByMore: figure => figure === "payment",
  overTerm(deal, payments, yearlyRate) {
    const plan = { ...deal.plan, payments, ...(yearlyRate !== undefined && { yearlyRate }) };
    return { deal: { ...deal, plan }, ...(yearlyRate !== undefined && { rate: yearlyRate }) };
  },
  yearlyRate: ({ plan }) => plan.yearlyRate,
  hasCashOverTerms: true,
};

/** The loan asked for a figure that gives what is wanted. */
function asking(deal: LoanDeal, figure: Moving, { figure: known, value }: Wanted): LoanDeal {
  const isOpenInPlan = figure === "yearlyRate" || figure === "payments";
  const plan = isOpenInPlan ? { ...deal.plan, [figure]: null } : deal.plan;
  const open = { ...deal, structure: opened(deal.structure, figure), plan, find: finderOf(figure) };
  return known === "payment"
    ? { ...open, plan: { ...plan, payment: value } }
    : { ...open, from: { figure: known as LoanWanted, value } };
}
