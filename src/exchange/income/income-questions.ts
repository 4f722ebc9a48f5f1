import {
  chargebackAfter,
  type DealerSide,
  failure,
  formatAmount,
  income,
  incomeThatEarns,
  incomeWorking,
  type Quote,
  type Result,
  success,
} from "@/core";
import type { DealerQuestion } from "../questions/dealer-questions.schema";
import { fileReader } from "../reading";
import { incomeJson } from "./income-json";

/** What is known of a deal besides its figures. */
type Known = { side: DealerSide; place?: string | undefined };

type Asked<Word extends DealerQuestion["ask"]> = Extract<DealerQuestion, { ask: Word }>;

/** Whether a question is one of the dealer's income. */
export const isDealerQuestion = ({ ask }: { ask: string }): boolean => ask in ANSWERS;

/** Answers a question about what a deal earns, as plain JSON: amounts as decimal strings. */
export const answerDealerQuestion = (question: DealerQuestion, quote: Quote, known: Known): Result<object> =>
  ANSWERS[question.ask](question as never, quote, known);

const ANSWERS: {
  [Word in DealerQuestion["ask"]]: (question: Asked<Word>, quote: Quote, known: Known) => Result<object>;
} = {
  chargeback: askChargeback,
  income: askIncome,
  incomeWorking: (_, quote, { side, place }) =>
    success({ working: incomeWorking(quote, side, income(quote, side, place)) }),
};

function askChargeback({ after }: Asked<"chargeback">, quote: Quote, { side, place }: Known): Result<object> {
  const back = chargebackAfter(quote, side, income(quote, side, place), Number(after));
  if (!back.ok) return back;
  const money = (minor: number) => formatAmount(minor, quote.decimals);
  const { reserve, extras, total } = back.value;
  return success({
    after: back.value.after,
    reserve: money(reserve),
    extras: money(extras.reduce((sum, { amount }) => sum + amount, 0)),
    total: money(total),
  });
}

function askIncome(
  { reserve, total, find, rateStep }: Asked<"income">,
  quote: Quote,
  { side, place }: Known,
): Result<object> {
  if ((reserve === undefined) === (total === undefined))
    return failure("income", "What is to be earned is a reserve or a total; give one of the two.");
  const { plan, currency } = quote.filled;
  const rate = plan.kind === "lease" && plan.reckoning === "moneyFactor" ? "moneyFactor" : "yearlyRate";
  if (find !== "price" && find !== rate)
    return failure("income", `The rate of this deal is its ${rate}; find that, or the price.`);
  const read = fileReader(currency);
  const amount = read.amount("income", "income", reserve ?? total) ?? 0;
  const wrong = read.failure();
  if (wrong) return { ok: false, failure: wrong };
  const found = incomeThatEarns(
    quote,
    side,
    {
      of: reserve === undefined ? "total" : "reserve",
      amount,
      find: find === "price" ? "price" : "rate",
      ...(rateStep !== undefined && { rateStep: String(rateStep) }),
    },
    place,
  );
  if (!found.ok) return found;
  const { figure, quote: earning } = found.value;
  const money = (minor: number) => formatAmount(minor, quote.decimals);
  return success({
    [find]: find === "price" ? money(Number(figure)) : figure,
    payment: money(earning.payment),
    dealer: incomeJson(found.value.income, earning),
  });
}
