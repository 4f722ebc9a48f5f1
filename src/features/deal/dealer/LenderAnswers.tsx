import { Plus } from "lucide-react";
import { isoDate } from "@/core";
import { type DealerOfOption, LENDER_STATES, type LenderAnswer, STATES } from "@/exchange/dealer";
import { definedOnly, withOptional } from "@/exchange/members";
import { todaysDay } from "@/features/figures/today";
import { useNotation } from "../option/option-context";
import { beyondApproval, noticeDue } from "./approvals";
import { KnownField } from "./KnownField";
import { Labelled } from "./LenderTerms";
import type { Earning } from "./use-income";

type Props = {
  earning: Earning;
  known: DealerOfOption;
  put: (next: DealerOfOption) => void;
  /** Who lends, as the option says. */
  lender: string | undefined;
};

/** What lenders have said of an option: the latest last. */
export function LenderAnswers({ earning, known, put, lender }: Props) {
  const { say } = useNotation();
  const answers = known.lenderAnswers ?? [];
  const all = (next: LenderAnswer[]) =>
    put(withOptional(known, "lenderAnswers", next.length > 0 ? next : undefined));
  const notice = noticeDue(answers, earning.place);
  return (
    <div className="flex flex-col gap-3">
      {notice && (
        <p role="status" className="text-warning">
          {say(notice)}
        </p>
      )}
      {answers.map((answer, index) => (
        <Answer
          // biome-ignore lint/suspicious/noArrayIndexKey: they are told apart by their places alone.
          key={index}
          name={`Lender ${index + 1}`}
          {...{ answer, earning }}
          onChange={next => all(answers.map((each, at) => (at === index ? next : each)))}
          onRemove={() => all(answers.filter((_, at) => at !== index))}
        />
      ))}
      <button
        type="button"
        className="flex min-h-6 cursor-pointer items-center gap-1 self-start text-primary text-sm"
        onClick={() =>
          all([...answers, { lender: lender ?? "Lender", state: "sent", on: isoDate(todaysDay()) }])
        }
      >
        <Plus size={14} aria-hidden="true" />
        Sent to a lender
      </button>
    </div>
  );
}

type AnswerProps = {
  name: string;
  answer: LenderAnswer;
  earning: Earning;
  onChange: (next: LenderAnswer) => void;
  onRemove: () => void;
};

function Answer({ name, answer, earning, onChange, onRemove }: AnswerProps) {
  const { say } = useNotation();
  const change = (next: Partial<Record<keyof LenderAnswer, unknown>>) =>
    onChange(definedOnly({ ...answer, ...next }) as LenderAnswer);
  const field = (label: string, of: "amount" | "signed" | "date" | "percent", key: keyof LenderAnswer) => (
    <Labelled name={label}>
      <KnownField
        label={`${name}: ${label}`}
        of={of}
        value={answer[key] as string | number | undefined}
        put={value => change({ [key]: value })}
      />
    </Labelled>
  );
  const isAnswered = answer.state !== "sent";
  const isFunded = answer.state === "funded";
  const stipulations = answer.stipulations ?? [];
  const asked = (next: typeof stipulations) => change({ stipulations: next.length > 0 ? next : undefined });
  return (
    <fieldset className="rounded-box border border-base-300 px-3 py-2" aria-label={name}>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1.5">
        <KnownField
          label={`${name}: name`}
          of="words"
          value={answer.lender}
          put={lender => lender && change({ lender })}
          className="w-44"
        />
        <select
          aria-label={`${name}: how it stands`}
          className="field w-auto"
          value={answer.state}
          onChange={({ target }) => change({ state: target.value })}
        >
          {LENDER_STATES.map(state => (
            <option key={state} value={state}>
              {STATES[state]}
            </option>
          ))}
        </select>
        {field("on", "date", "on")}
        {isAnswered && (
          <>
            {field("amount", "amount", "amount")}
            <Labelled name="payments">
              <KnownField
                label={`${name}: payments`}
                of="count"
                most={1200}
                value={answer.payments}
                put={payments => change({ payments: payments === undefined ? undefined : Number(payments) })}
                className="w-16"
              />
            </Labelled>
            {field("buy rate", "percent", "buyRate")}
            {field("good through", "date", "goodThrough")}
          </>
        )}
        {isFunded && (
          <>
            {field("paid on", "date", "fundedOn")}
            {field("paid", "amount", "funded")}
            {field("reserve received", "signed", "reserveReceived")}
          </>
        )}
        <button
          type="button"
          className="ml-auto min-h-6 cursor-pointer text-primary text-sm underline"
          onClick={onRemove}
        >
          Remove
        </button>
      </div>
      {isAnswered && (
        <div className="mt-1.5 flex flex-wrap items-center gap-x-3 gap-y-1 text-sm">
          {stipulations.map((stipulation, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: they are told apart by their places alone.
            <span key={index} className="flex items-center gap-1">
              <input
                type="checkbox"
                className="size-6"
                aria-label={`${name}: ${stipulation.name} is there`}
                checked={stipulation.on !== undefined}
                onChange={({ target }) =>
                  asked(
                    stipulations.map((each, at) =>
                      at === index
                        ? { name: each.name, ...(target.checked && { on: isoDate(todaysDay()) }) }
                        : each,
                    ),
                  )
                }
              />
              <KnownField
                label={`${name}: stipulation ${index + 1}`}
                of="words"
                value={stipulation.name}
                put={text =>
                  text === undefined
                    ? asked(stipulations.filter((_, at) => at !== index))
                    : asked(stipulations.map((each, at) => (at === index ? { ...each, name: text } : each)))
                }
                className="w-40"
              />
              {stipulation.on && <span className="text-faint">{say(stipulation.on)}</span>}
            </span>
          ))}
          <button
            type="button"
            className="min-h-6 cursor-pointer text-primary"
            onClick={() => asked([...stipulations, { name: "Proof of income" }])}
          >
            + stipulation
          </button>
        </div>
      )}
      {beyondApproval(answer, earning).map(({ sentence }) => (
        <p key={sentence} role="status" className="mt-1 text-sm text-warning">
          {say(sentence)}
        </p>
      ))}
    </fieldset>
  );
}
