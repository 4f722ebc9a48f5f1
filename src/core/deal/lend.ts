import { parseDecimal, percentOf } from "../interest";
import type { Loan } from "../loan";
import { groupedAmount } from "../money";
import { type Failure, failure, type Result, success } from "../result";
import type { Deal } from "./deal";
import { cashDown, structureLines } from "./structure";
import type { Terms } from "./terms";

/** A deal's structure with the loan that it comes to: money in minor units. */
export type Lent = {
  price: number;
  down: number;
  allowance: number;
  amountFinanced: number;
  loan: Loan;
};

/**
 * The loan of a deal of which everything but the payment is given, with its level payment.
 *
 * @param deal its price, cash down and plan are all there
 * @param terms its plan, read
 * @returns what is lent, or a failure with the figure to blame
 */
export function lend(deal: Deal, terms: Terms): Result<Lent> {
  const { tradeIn } = deal.structure;
  const price = deal.structure.price ?? 0;
  const badDown = checkDown(deal);
  if (badDown) return { ok: false, failure: badDown };
  const down = cashDown(deal.structure.down ?? { amount: 0 }, price);
  const amountFinanced = price - tradeIn.allowance + tradeIn.owed - down;
  if (amountFinanced <= 0) return nothingToFinance(price, down, deal, terms.decimals);
  const loan = loanOf(deal, terms, price, amountFinanced);
  return loan.ok
    ? success({ price, down, allowance: tradeIn.allowance, amountFinanced, loan: loan.value })
    : loan;
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
