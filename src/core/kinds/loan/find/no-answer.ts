import { NO_RATE, periodInterest } from "../../../interest";
import { MOST_PAYMENTS, MOST_ROWS_TRIED, wholeText } from "../../../limits";
import { groupedAmount } from "../../../money";
import { type Failure, failure, type Result } from "../../../result";
import { settle } from "../../../structure";
import { type LoanDeal, price, withoutPayment } from "../deal";
import { readTerms, regularPayment } from "../plan";
import type { LoanFinder } from "./finders";
import { MEASURES, type MeasureName } from "./measure";
import type { Trial } from "./trial";

/** Says that a figure does not move what it should be found from, and what it can be found from. */
export function notDepending(finder: LoanFinder, known: MeasureName | null): Result<never> {
  const usable = [...finder.rising, ...finder.falling]
    .filter(name => name !== "lastPayment")
    .map(name => `the ${MEASURES[name].name}`);
  const from = usable.length > 1 ? `${usable.slice(0, -1).join(", ")} or ${usable.at(-1)}` : usable[0];
  const name = known === null ? "payment" : MEASURES[known].name;
  return failure(
    finder.figure,
    `The ${name} does not follow from the ${finder.name}; find the ${finder.name} from ${from}.`,
  );
}

/** Why a search has no answer. */
export const noAnswer = { tooSmall, beyond, neverEnds: endsNever, unbounded, tooMuchWork };

function tooSmall(known: MeasureName, asked: number, decimals: number): Result<never> {
  const { figure, name, text } = MEASURES[known];
  const what = known === "payment" ? "repays nothing" : "is not possible";
  return failure(
    figure,
    `${capital(withArticle(name))} of ${text(asked, decimals)} ${what}; type one above zero.`,
  );
}

const withArticle = (name: string) => `${/^[aeiou]/.test(name) ? "an" : "a"} ${name}`;

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Even the best that the figure can be is on the wrong side. */
function beyond(
  finder: LoanFinder,
  known: MeasureName,
  deal: LoanDeal,
  trial: Trial,
  best: number,
): Result<never> {
  const { figure, name, text, asked: askedOf } = MEASURES[known];
  const { decimals, measure } = trial;
  const asked = askedOf(deal);
  const reached = measure(best);
  const start = `No ${finder.name} gives ${withArticle(name)} of ${text(asked, decimals)}`;
  const problem = trial.problem(best);
  if (problem) return { ok: false, failure: problem };
  const nearest: Failure["nearest"] = known === "payment" ? { figure: "payment", minor: reached } : undefined;
  if (known === "payment") {
    const sentence = finder.figure === "price" ? carried(deal, asked, reached, decimals) : undefined;
    if (sentence) return failure(figure, sentence, nearest);
    const never = finder.figure === "payments" ? endsNever(deal, finder, asked, decimals) : undefined;
    if (never) return never;
  }
  const least = known === "endDate" ? "earliest" : "smallest";
  return failure(
    figure,
    `${start}: even ${finder.name} ${finder.text(best, decimals)} takes ${text(reached, decimals)}. The ${least} ${name} that works is ${text(reached, decimals)}.`,
    nearest,
  );
}

/** What is owed on the trade-in has to be financed at any price. */
function carried(
  { structure }: LoanDeal,
  asked: number,
  reached: number,
  decimals: number,
): string | undefined {
  const amount = settle({ ...structure, price: 0 }).loanAmount;
  if (amount <= 0) return undefined;
  const [askedText, reachedText, amountText] = [asked, reached, amount].map(minor =>
    groupedAmount(minor, decimals),
  );
  return (
    `No price gives a payment of ${askedText}: even at a price of 0 there is ${amountText} to finance ` +
    `for ${addedWords(structure)}, which takes ${reachedText}. The smallest payment that works is ${reachedText}.`
  );
}

/** What is financed at any price. */
function addedWords({ tradeIns, taxes = [], fees = [], extras = [] }: LoanDeal["structure"]): string {
  const owes = tradeIns.some(({ owed }) => owed > 0);
  const adds = taxes.length + fees.length + extras.length > 0;
  if (!adds) return "what is owed on the trade-in";
  return owes ? "fees, extras and what is owed on the trade-in" : "fees and extras";
}

/** A payment below the first interest repays nothing. */
function endsNever(
  deal: LoanDeal,
  finder: LoanFinder,
  asked: number,
  decimals: number,
): Result<never> | undefined {
  const longest = finder.fill(withoutPayment(deal), MOST_PAYMENTS);
  const terms = readTerms(longest);
  const priced = terms.ok ? price(longest, terms.value) : terms;
  if (!priced.ok) return undefined;
  const { amount, draft } = priced.value.loan;
  const reached = regularPayment(priced.value.loan);
  const rate = draft.runs.at(-1)?.rate ?? NO_RATE;
  const interest = periodInterest(amount, rate);
  if (asked > interest) return undefined;
  const [askedText, interestText, reachedText] = [asked, interest, reached].map(minor =>
    groupedAmount(minor, decimals),
  );
  return failure(
    MEASURES.payment.figure,
    `A payment of ${askedText} does not cover the first interest of ${interestText}, so that the loan never ends. ` +
      `The smallest payment that works is ${reachedText}, over ${wholeText(MOST_PAYMENTS)} payments.`,
    { figure: "payment", minor: reached },
  );
}

/** Even the most that the figure can be is on the right side, so that there is no last one. */
function unbounded(
  finder: LoanFinder,
  known: MeasureName,
  asked: number,
  { decimals, problem }: Trial,
  most: number,
): Result<never> {
  const why = problem(most);
  if (why) return { ok: false, failure: why };
  const { figure, name, text } = MEASURES[known];
  return failure(
    figure,
    `${capital(withArticle(name))} of ${text(asked, decimals)} affords more than the largest ${finder.name}, ${finder.text(most, decimals)}.`,
  );
}

/** The budget of work ended before the search did. */
function tooMuchWork(finder: LoanFinder, known: MeasureName): Result<never> {
  return failure(
    finder.figure,
    `Finding the ${finder.name} from the ${MEASURES[known].name} takes more work than one answer may: ${wholeText(MOST_ROWS_TRIED)} lines of repayment tables were tried. Give the ${finder.name}, or fewer payments.`,
  );
}
