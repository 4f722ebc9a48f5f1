import { convertRate, type Result } from "@/core";
import { rateWorking } from "@/core/working";
import type { FreeQuestion } from "@/exchange/questions/questions.schema";
import { ChoiceInWords } from "@/features/deal/parts/ChoiceInWords";
import { Blank } from "./Blank";
import { type Place, plainTyped, usePlace } from "./place";
import { QuestionCard } from "./QuestionCard";
import { isFlat, kindOf, otherWays, type RateAsked, rateQuestion, statedText, WAYS } from "./rate";

type Props = { asked: RateAsked; onChange: (asked: RateAsked) => void };

/** A rate that is asked about, read and stated the other way. */
export function answerRate(asked: RateAsked, place: Place) {
  const figure = plainTyped(asked.text, asked.from === "moneyFactor" ? "moneyFactor" : "percent", place);
  const needsPayments = isFlat(asked.from) || isFlat(asked.to);
  const payments = needsPayments ? plainTyped(asked.payments, "payments", place) : "0";
  if (figure === undefined) return none("Type the rate.");
  if (payments === undefined) return none("Type how many payments the flat rate is for.");
  const [from, to] = [kindOf(asked.from, Number(payments)), kindOf(asked.to, Number(payments))];
  const converted = convertRate(Number(figure), from, to);
  if (!converted.ok) return converted;
  const question: FreeQuestion = rateQuestion(figure, from, to);
  return {
    ok: true as const,
    value: { figure: Number(figure), from, to, result: converted.value, question },
  };
}

const none = (sentence: string): Result<never> => ({
  ok: false,
  failure: { figure: "yearlyRate", sentence },
});

const wordsOf = (stated: RateAsked["from"]) => WAYS.find(([each]) => each === stated)?.[1] ?? "";

/** Any rate stated any other way. */
export function RateCard({ asked, onChange }: Props) {
  const place = usePlace();
  const answered = answerRate(asked, place);
  const unit = (stated: RateAsked["from"]) => (stated === "moneyFactor" ? "" : " %");
  const answer = answered.ok
    ? {
        says: `${statedText(answered.value.figure, asked.from)}${unit(asked.from)} ${wordsOf(asked.from)} is ${statedText(answered.value.result, asked.to)}${unit(asked.to)} ${wordsOf(asked.to)}.`,
        working: rateWorking(
          answered.value.figure,
          answered.value.from,
          answered.value.to,
          answered.value.result,
        ),
      }
    : { sentence: answered.failure.sentence };
  return (
    <QuestionCard
      title="One rate as another"
      answer={answer}
      remark="Whether a rate is for a year or for a period, and how often it is added, is said in words. A money factor is 225 or 0.00225."
      beside={
        answered.ok && (
          <table className="mt-2 w-full text-sm" aria-label="The same rate in other ways">
            <tbody>
              {otherWays(answered.value.figure, answered.value.from).map(({ words, text }) => (
                <tr key={words} className="border-base-300 border-b">
                  <td className="py-0.5 text-faint">{words}</td>
                  <td className="py-0.5 text-right">{place.say(text)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )
      }
    >
      State{" "}
      <Blank
        label="Rate"
        size="narrow"
        value={asked.text}
        isWrong={!answered.ok && asked.text !== ""}
        onChange={text => onChange({ ...asked, text })}
      />
      {unit(asked.from)}{" "}
      <ChoiceInWords
        label="How the rate is stated"
        value={asked.from}
        choices={WAYS}
        onChange={from => onChange({ ...asked, from })}
      />{" "}
      as one{" "}
      <ChoiceInWords
        label="How it is to be stated"
        value={asked.to}
        choices={WAYS}
        onChange={to => onChange({ ...asked, to })}
      />
      {(isFlat(asked.from) || isFlat(asked.to)) && (
        <>
          {" "}
          over{" "}
          <Blank
            label="Payments of the flat rate"
            size="narrow"
            value={asked.payments}
            onChange={payments => onChange({ ...asked, payments })}
          />{" "}
          payments
        </>
      )}
      .
    </QuestionCard>
  );
}
