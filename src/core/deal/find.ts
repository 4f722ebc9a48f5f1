import { parseDecimal } from "../interest";
import { groupedAmount, LARGEST_AMOUNT } from "../money";
import { type Failure, failure, type Result, success } from "../result";
import type { Deal, TradeIn } from "./deal";
import { largestWhole } from "./largest-whole";
import { cashDown, structureLines } from "./structure";
import { readTerms, type Terms } from "./terms";

/** A deal's three findable figures, all known, in minor units. */
export type Answer = {
  price: number;
  down: number;
  amountFinanced: number;
  /** The rounded level payment of this structure. */
  payment: number;
  /** A plain sentence where the answer wants explaining. */
  note?: string;
};

/**
 * Fills in the figure that a deal asks for.
 *
 * A found price is the largest in whole minor units whose rounded payment does not pass the payment asked
 * for; a found cash down is the smallest such.
 *
 * @returns the deal with price, cash down and payment all given, or a failure with the reason and the
 *   nearest figure that works
 * @example
 * // 10,000.00 at 0 % over 10 payments
 * find(deal) // { ok: true, value: { …deal, plan: { …deal.plan, payment: 100000 } } }
 */
export function find(deal: Deal): Result<Deal> {
  const terms = readTerms(deal);
  if (!terms.ok) return terms;
  const answer = findAnswer(deal, terms.value);
  if (!answer.ok) return answer;
  const { price, down, payment } = answer.value;
  return success({
    ...deal,
    structure: { ...deal.structure, price, down: deal.structure.down ?? { amount: down } },
    plan: { ...deal.plan, payment },
  });
}

/** Finds the asked figure of a deal whose terms were read, so that nothing given is missing. */
export function findAnswer(deal: Deal, terms: Terms): Result<Answer> {
  const { tradeIn, down } = deal.structure;
  const price = deal.structure.price ?? 0;
  const badDown = checkDown(deal);
  if (badDown) return { ok: false, failure: badDown };
  if (deal.find === "payment")
    return answerFor(price, cashDown(down ?? { amount: 0 }, price), tradeIn, terms);

  const asked = deal.plan.payment ?? 0;
  if (asked <= 0) {
    const askedText = groupedAmount(asked, terms.decimals);
    return failure("payment", `A payment of ${askedText} repays nothing; type one above zero.`);
  }
  return deal.find === "price" ? findPrice(deal, terms, asked) : findDown(price, deal, terms, asked);
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

function findPrice(deal: Deal, terms: Terms, asked: number): Result<Answer> {
  const { tradeIn } = deal.structure;
  const down = deal.structure.down ?? { amount: 0 };
  const most = LARGEST_AMOUNT * 10 ** terms.decimals;
  const share = "percent" in down ? Number(down.percent) / 100 : 0;
  if (share === 1) {
    return failure("down", "With 100 % down the price does not change the payment; type a smaller percent.");
  }
  const amountAt = (price: number) => price - cashDown(down, price) - tradeIn.allowance + tradeIn.owed;
  const withinAsked = (price: number) => terms.paymentFor(Math.max(amountAt(price), 0)) <= asked;
  const guess = (asked / terms.perUnit - amountAt(0)) / (1 - share);

  const price = largestWhole(withinAsked, guess, most);
  if (price < 0) return noPrice(asked, terms.paymentFor(amountAt(0)), amountAt(0), terms.decimals);
  if (price === most) {
    return failure(
      "payment",
      `A payment of ${groupedAmount(asked, terms.decimals)} affords more than the largest price, 1,000,000,000.`,
    );
  }
  return answerFor(price, cashDown(down, price), tradeIn, terms);
}

function noPrice(asked: number, needed: number, carried: number, decimals: number): Result<Answer> {
  const [askedText, neededText, carriedText] = [asked, needed, carried].map(minor =>
    groupedAmount(minor, decimals),
  );
  const sentence =
    `No price gives a payment of ${askedText}: even at a price of 0 there is ${carriedText} to finance ` +
    `for what is owed on the trade-in, which takes ${neededText}. The smallest payment that works is ${neededText}.`;
  return failure("payment", sentence, { figure: "payment", minor: needed });
}

function findDown(price: number, deal: Deal, terms: Terms, asked: number): Result<Answer> {
  const { tradeIn } = deal.structure;
  const withoutDown = price - tradeIn.allowance + tradeIn.owed;
  if (withoutDown <= 0) return answerFor(price, 0, tradeIn, terms);
  const most = largestWhole(amount => terms.paymentFor(amount) <= asked, asked / terms.perUnit, withoutDown);
  const answer = answerFor(price, withoutDown - most, tradeIn, terms);
  if (answer.ok && most === withoutDown && answer.value.payment < asked) {
    const [payment, askedText] = [answer.value.payment, asked].map(minor =>
      groupedAmount(minor, terms.decimals),
    );
    answer.value.note = `No cash down is needed: without any the payment is ${payment}, below the ${askedText} asked for.`;
  }
  return answer;
}

/** Everything else given, the amount financed and its payment. */
function answerFor(price: number, down: number, tradeIn: TradeIn, terms: Terms): Result<Answer> {
  const amountFinanced = structureLines(price, tradeIn, down).at(-1)?.running ?? 0;
  if (amountFinanced > 0)
    return success({ price, down, amountFinanced, payment: terms.paymentFor(amountFinanced) });

  const sentence = `Nothing is left to finance. ${coveredBy(price, down, tradeIn, terms.decimals)}`;
  const downThatWorks = down + amountFinanced - 1;
  return downThatWorks >= 0
    ? failure("amountFinanced", sentence, { figure: "down", minor: downThatWorks })
    : failure("amountFinanced", sentence);
}

/** What leaves nothing to finance, as a sentence. */
function coveredBy(price: number, down: number, { allowance, owed }: TradeIn, decimals: number): string {
  const covers = [...(down > 0 ? ["cash down"] : []), ...(allowance > 0 ? ["trade-in"] : [])];
  if (covers.length === 0) return "The price is 0.";
  const over = down + allowance - owed - price;
  const rest = over > 0 ? ` with ${groupedAmount(over, decimals)} over` : "";
  return `The ${covers.join(" and the ")} ${covers.length === 1 ? "covers" : "cover"} the price${rest}.`;
}
