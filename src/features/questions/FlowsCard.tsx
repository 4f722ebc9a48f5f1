import { useId } from "react";
import { flowsWorking } from "@/core/working";
import { FlowsTimeline } from "./FlowsTimeline";
import { answerFlows, readFlows } from "./flows";
import { usePlace } from "./place";
import { QuestionCard } from "./QuestionCard";

type Props = { text: string; onChange: (text: string) => void };

/** The APR and the effective rate of any flows, typed or pasted. */
export function FlowsCard({ text, onChange }: Props) {
  const place = usePlace();
  const id = useId();
  const read = readFlows(text, place);
  const answered = "flows" in read ? answerFlows(read.flows) : null;
  const answer = answered?.ok
    ? {
        says: `APR ${answered.value.apr.percent.toFixed(4)} % a year by Regulation Z, effective rate ${answered.value.effective.toFixed(4)} % a year.`,
        working: flowsWorking(answered.value.transaction, answered.value.apr, answered.value.effective),
      }
    : {
        sentence:
          "sentence" in read ? read.sentence : answered?.ok === false ? answered.failure.sentence : "",
      };
  return (
    <QuestionCard
      title="The rate of any flows"
      answer={answer}
      remark="One flow on a line: its date, then its amount for the customer; what is paid has a minus, what is received has none. “× 60” repeats it every month, “× 60 weekly” every week. Two columns of a spreadsheet can be pasted."
      beside={answered?.ok && <FlowsTimeline flows={answered.value.flows} />}
    >
      <label htmlFor={id} className="block text-faint text-sm">
        Dates and amounts
      </label>
      <textarea
        id={id}
        rows={5}
        spellCheck={false}
        className="field h-auto w-full resize-y py-1.5 font-sans text-base leading-snug"
        value={text}
        aria-invalid={"sentence" in answer}
        onChange={event => onChange(event.target.value)}
      />
    </QuestionCard>
  );
}
