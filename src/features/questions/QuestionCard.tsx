import { ListTree } from "lucide-react";
import { type ReactNode, useId, useState } from "react";
import type { WorkingStep } from "@/core";
import { WorkingSteps } from "@/features/figures/WorkingSteps";
import { KeepAsNote } from "./KeepAsNote";
import { usePlace } from "./place";

type Props = {
  title: string;
  /** What a user must elsewhere know by heart. */
  remark: string;
  /** The question, as a sentence with live figures. */
  children: ReactNode;
  /** The answer in words, or why there is none. */
  answer: { says: string; working: WorkingStep } | { sentence: string };
  /** What is shown with the answer. */
  beside?: ReactNode;
};

/** A question with its answer, its working, and the way to keep it. */
export function QuestionCard({ title, remark, children, answer, beside }: Props) {
  const { say } = usePlace();
  const [isOpen, setOpen] = useState(false);
  const id = useId();
  return (
    <section aria-labelledby={id} className="card-paper min-w-0 px-5 py-4">
      <h2 id={id} className="font-semibold text-lg">
        {title}
      </h2>
      <div className="mt-2 font-serif text-lg leading-[2.4]">{children}</div>
      {"sentence" in answer ? (
        <p role="status" className="mt-2 text-error">
          {say(answer.sentence)}
        </p>
      ) : (
        <>
          <p role="status" className="mt-2 rounded-box bg-base-200 px-3 py-2" data-testid="answer">
            {say(answer.says)}
          </p>
          {beside}
          <div className="mt-2 flex flex-wrap items-start gap-2">
            <button
              type="button"
              aria-expanded={isOpen}
              className="btn btn-sm"
              onClick={() => setOpen(!isOpen)}
            >
              <ListTree size={15} aria-hidden="true" />
              Working
            </button>
            <KeepAsNote text={say(answer.says)} />
          </div>
          {isOpen && (
            <div className="mt-2 overflow-auto rounded-box border-primary border-l-4 py-1 pl-3 text-sm leading-snug">
              <WorkingSteps step={answer.working} say={say} />
            </div>
          )}
        </>
      )}
      <p className="mt-2 text-faint text-sm">{remark}</p>
    </section>
  );
}
