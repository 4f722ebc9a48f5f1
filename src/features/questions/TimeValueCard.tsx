import type { ReactNode } from "react";
import {
  currencyDecimals,
  FREQUENCY_NAMES,
  type Frequency,
  groupedAmount,
  type TimeValueAnswer,
} from "@/core";
import { timeValueWorking } from "@/core/working";
import { ChoiceInWords } from "@/features/deal/parts/ChoiceInWords";
import { Blank } from "./Blank";
import { amountText, usePlace } from "./place";
import { QuestionCard } from "./QuestionCard";
import { type Amounts, type Asked, answerAsked, type Direction, type Figure, foundText } from "./time-value";

type Props = { asked: Asked; onChange: (asked: Asked) => void };

const FREQUENCIES = Object.entries(FREQUENCY_NAMES).map(
  ([frequency, { every }]) => [frequency as Frequency, every] as const,
);
const TIMINGS = [
  ["arrears", "at the end of each period"],
  ["advance", "at the beginning of each"],
] as const;
const COMPOUNDINGS = [
  ["payments", "added with each payment"],
  ["daily", "added daily"],
  ["monthly", "added monthly"],
  ["quarterly", "added quarterly"],
  ["halfYearly", "added half-yearly"],
  ["yearly", "added yearly"],
  ["continuous", "added without pause"],
] as const;
const DIRECTIONS = [
  ["received", "receive"],
  ["paid", "pay"],
] as const;

/** The blanks and words of a question about money over time. */
function useBlanks({ asked, onChange }: Props) {
  const place = usePlace();
  const answered = answerAsked(asked, place);
  const answer = answered.ok ? answered.value.answer : null;
  const isMoney = (figure: Figure) => figure !== "payments" && figure !== "yearlyRate";
  const shown = (figure: Figure) => {
    if (figure !== asked.find) return asked.texts[figure];
    if (!answer) return "";
    const text = foundText(answer, figure, place.currency);
    return isMoney(figure) ? amountText(text, place) : place.say(text);
  };
  const find = (figure: Figure) => {
    const texts = { ...asked.texts, [asked.find]: shown(asked.find) };
    // A number of payments that is found need not be whole; one that is given is.
    if (asked.find === "payments" && answer?.last)
      texts.payments = String(answer.last.fullPayments + (answer.last.amount > 0 ? 1 : 0));
    const directions = { ...asked.directions };
    if (answer && isMoney(asked.find))
      directions[asked.find as Amounts] = answer[asked.find as Amounts].direction;
    onChange({ ...asked, find: figure, texts, directions });
  };
  const blank = (figure: Figure, label: string) => (
    <Blank
      label={label}
      value={shown(figure)}
      isFound={figure === asked.find}
      isWrong={!answered.ok && answered.failure.figure === figure && asked.texts[figure] !== ""}
      size={isMoney(figure) || figure === asked.find ? "wide" : "narrow"}
      onFind={() => find(figure)}
      onChange={text => onChange({ ...asked, texts: { ...asked.texts, [figure]: text } })}
    />
  );
  const way = (figure: Amounts, label: string): ReactNode => {
    const found = figure === asked.find && answer ? answer[figure].direction : undefined;
    if (found) return found === "received" ? "receive" : "pay";
    return (
      <ChoiceInWords
        label={label}
        value={asked.directions[figure]}
        choices={DIRECTIONS}
        onChange={direction =>
          onChange({ ...asked, directions: { ...asked.directions, [figure]: direction as Direction } })
        }
      />
    );
  };
  const every = (
    <ChoiceInWords
      label="How often"
      value={asked.frequency}
      choices={FREQUENCIES}
      onChange={frequency => onChange({ ...asked, frequency })}
    />
  );
  const when = (
    <ChoiceInWords
      label="When in a period"
      value={asked.timing}
      choices={TIMINGS}
      onChange={timing => onChange({ ...asked, timing })}
    />
  );
  const added = (
    <ChoiceInWords
      label="How often interest is added"
      value={asked.compounding as (typeof COMPOUNDINGS)[number][0]}
      choices={COMPOUNDINGS}
      onChange={compounding => onChange({ ...asked, compounding })}
    />
  );
  return { blank, way, every, when, added, answered, place };
}

/** The last of a number of payments that is no whole one: what is there before it, and after. */
function lastText({ last }: TimeValueAnswer, decimals: number): string {
  if (!last) return "";
  const money = (minor: number) => groupedAmount(minor, decimals);
  const { fullPayments, amount, balanceBefore, balanceAfter } = last;
  if (amount === 0 && balanceBefore === balanceAfter)
    return ` After ${fullPayments} in full, interest alone brings it to ${money(balanceAfter)} a period later.`;
  return amount > 0
    ? ` After ${fullPayments} in full, the last one is ${money(amount)}: before it there is ${money(balanceBefore)}, after it ${money(balanceAfter)}.`
    : ` The last one is a full one: before it there is ${money(balanceBefore)}, after it ${money(balanceAfter)}.`;
}

type Blanks = ReturnType<typeof useBlanks>;

function answerOf({ answered, place }: Blanks) {
  if (!answered.ok) return { sentence: answered.failure.sentence };
  const { plan, answer } = answered.value;
  const decimals = currencyDecimals(place.currency) ?? 2;
  return { says: answer.sentence + lastText(answer, decimals), working: timeValueWorking(plan, answer) };
}

/** The five figures of money over time, one of them found. */
export function TimeValueCard(props: Props) {
  const blanks = useBlanks(props);
  const { blank, way, every, when, added } = blanks;
  return (
    <QuestionCard
      title="Money over time"
      answer={answerOf(blanks)}
      remark="Say which way each amount goes, for the customer: no signs are needed. The rate is for a year. Any of the five can be found: press the target in its field, or type a question mark."
    >
      First {way("presentValue", "Which way the money goes now")} {blank("presentValue", "Money now")} now,
      then {way("payment", "Which way each payment goes")} {blank("payment", "Each payment")} {every},{" "}
      {blank("payments", "Number of payments")} times, {when}, at {blank("yearlyRate", "Yearly rate")} % a
      year {added}; at the end {way("futureValue", "Which way the money goes at the end")}{" "}
      {blank("futureValue", "Money at the end")}.
    </QuestionCard>
  );
}

/** How long a saving takes, or anything else about it. */
export function SavingCard(props: Props) {
  const blanks = useBlanks(props);
  const { blank, every, when, added } = blanks;
  return (
    <QuestionCard
      title="How long a saving takes"
      answer={answerOf(blanks)}
      remark="What is put aside goes out of the customer's pocket, what was aimed for comes back at the end. The last one is what is still missing then."
    >
      With {blank("presentValue", "Saved already")} saved already and{" "}
      {blank("payment", "Put aside each time")} put aside {every}, {when}, at{" "}
      {blank("yearlyRate", "Yearly rate of the saving")} % a year {added}, there will be{" "}
      {blank("futureValue", "Aimed for")} after {blank("payments", "How many times")} times.
    </QuestionCard>
  );
}
