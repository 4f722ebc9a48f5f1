import { isoDate } from "../calendar";
import { parseDecimal, percentOf } from "../interest";
import { type Fault, isFault, type Loan, type Repayment, repay } from "../loan";
import { groupedAmount } from "../money";
import { type Failure, failure, type Result, success } from "../result";
import type { Deal } from "./deal";
import { cashDown, structureLines } from "./structure";
import type { Terms } from "./terms";

/** A deal with every figure known: money in minor units. */
export type Priced = {
  price: number;
  down: number;
  allowance: number;
  amountFinanced: number;
  loan: Loan;
  repayment: Repayment;
  /** What the credit costs: all interest and a charge paid at signing. */
  financeCharge: number;
  /** The payments, the cash down, a charge at signing, and what the trade-in was worth beyond what was owed on it. */
  totalCost: number;
};

/**
 * Prices a deal of which everything but the payment is given.
 *
 * @param deal its price, cash down and plan are all there
 * @param terms its plan, read
 * @returns every figure but the table, or a failure with the figure to blame
 */
export function price(deal: Deal, terms: Terms): Result<Priced> {
  const { tradeIn } = deal.structure;
  const fullPrice = deal.structure.price ?? 0;
  const badDown = checkDown(deal);
  if (badDown) return { ok: false, failure: badDown };
  const down = cashDown(deal.structure.down ?? { amount: 0 }, fullPrice);
  const amountFinanced = fullPrice - tradeIn.allowance + tradeIn.owed - down;
  if (amountFinanced <= 0) return nothingToFinance(fullPrice, down, deal, terms.decimals);
  const loan = loanOf(deal, terms, fullPrice, amountFinanced);
  if (!loan.ok) return loan;
  const repayment = repay(loan.value);
  if (isFault(repayment)) return { ok: false, failure: explainFault(repayment, loan.value, terms) };
  const charge = deal.plan.prepaidCharge ?? 0;
  return success({
    price: fullPrice,
    down,
    allowance: tradeIn.allowance,
    amountFinanced,
    loan: loan.value,
    repayment,
    financeCharge: repayment.totalInterest + charge,
    totalCost: repayment.totalOfPayments + charge + down + tradeIn.allowance - tradeIn.owed,
  });
}

function checkDown({ structure: { down } }: Deal): Failure | undefined {
  if (down === null || "amount" in down) return undefined;
  const percent = parseDecimal(down.percent);
  if (percent && percent.digits <= 100 * percent.scale) return undefined;
  return {
    figure: "down",
    sentence: `Cash down of ${down.percent} % is not possible; it can be 0 to 100 % of the price.`,
  };
}

/** The loan of an amount by a plan, with its level payment. */
function loanOf(deal: Deal, terms: Terms, fullPrice: number, amount: number): Result<Loan> {
  const { draft, rounding, solver, extraEach, extras } = terms;
  const { plan } = deal;
  const money = (minor: number) => groupedAmount(minor, terms.decimals);
  if ((plan.prepaidCharge ?? 0) >= amount) {
    return failure(
      "prepaidCharge",
      `A charge at signing of ${money(plan.prepaidCharge ?? 0)} leaves nothing of the ${money(amount)} financed; it must be less.`,
    );
  }
  if (extraEach > amount) {
    return failure(
      "extra",
      `An extra of ${money(extraEach)} with every payment is more than the ${money(amount)} owed; it can be at most that.`,
    );
  }
  const balloon = balloonOf(plan, fullPrice);
  if (!balloon.ok) return balloon;
  const isSolved = solver.worth.level > 0;
  if (isSolved && solver.unrounded(amount, balloon.value) <= 0 && solver.rounded(amount, balloon.value) < 0) {
    return tooMuchAgreed(amount, balloon.value, terms);
  }
  const payment = isSolved ? solver.rounded(amount, balloon.value) : 0;
  return success({ amount, draft, payment, rounding, balloon: balloon.value, extraEach, extras });
}

function balloonOf({ balloon }: Deal["plan"], fullPrice: number): Result<number> {
  if (!balloon) return success(0);
  if ("amount" in balloon) return success(balloon.amount);
  const percent = parseDecimal(balloon.percent);
  if (percent && percent.digits <= 1000 * percent.scale) return success(percentOf(fullPrice, percent));
  return failure(
    "balloon",
    `A balloon of ${balloon.percent} % is not possible; it can be 0 to 1,000 % of the price.`,
  );
}

/** Agreed amounts that repay more than the loan. */
function tooMuchAgreed(amount: number, balloon: number, { solver, decimals }: Terms): Result<Loan> {
  const { amounts, atEnd } = solver.worth;
  const money = (minor: number) => groupedAmount(minor, decimals);
  if (amounts < amount && balloon > 0) {
    const most = Math.floor((amount - amounts) / atEnd);
    return failure(
      "balloon",
      `A balloon of ${money(balloon)} is more than ${money(amount)} grows to without any payment; it can be at most ${money(most)}.`,
      { figure: "balloon", minor: most },
    );
  }
  return failure(
    "steps",
    `The agreed payments are worth ${money(Math.round(amounts))} when the money is lent, more than the ${money(amount)} financed; agree smaller ones.`,
  );
}

function explainFault(fault: Fault, loan: Loan, { decimals }: Terms): Failure {
  const money = (minor: number) => groupedAmount(minor, decimals);
  switch (fault.fault) {
    case "grows":
      return {
        figure: "payments",
        sentence: `At this rate a payment rounded to ${money(loan.payment)} does not cover the interest of so many payments; plan fewer of them.`,
      };
    case "extra":
      return {
        figure: "extra",
        sentence: `The extra of ${money(fault.event.amount)} on ${isoDate(fault.event.date)} is more than the ${money(fault.owed)} owed then; it can be at most that.`,
      };
    case "overpaid":
      return {
        figure: loan.balloon > 0 ? "balloon" : "steps",
        sentence: `The payments before it repay ${money(fault.short)} too much for the last payment; agree smaller ones, or round them down.`,
      };
  }
}

function nothingToFinance(price: number, down: number, deal: Deal, decimals: number): Result<never> {
  const { tradeIn } = deal.structure;
  const amountFinanced = structureLines(price, tradeIn, down).at(-1)?.running ?? 0;
  const sentence = `Nothing is left to finance. ${coveredBy(price, down, deal, decimals)}`;
  const downThatWorks = down + amountFinanced - 1;
  return downThatWorks >= 0
    ? failure("amountFinanced", sentence, { figure: "down", minor: downThatWorks })
    : failure("amountFinanced", sentence);
}

/** What leaves nothing to finance, as a sentence. */
function coveredBy(price: number, down: number, { structure }: Deal, decimals: number): string {
  const { allowance, owed } = structure.tradeIn;
  const covers = [...(down > 0 ? ["cash down"] : []), ...(allowance > 0 ? ["trade-in"] : [])];
  if (covers.length === 0) return "The price is 0.";
  const over = down + allowance - owed - price;
  const rest = over > 0 ? ` with ${groupedAmount(over, decimals)} over` : "";
  return `The ${covers.join(" and the ")} ${covers.length === 1 ? "covers" : "cover"} the price${rest}.`;
}
