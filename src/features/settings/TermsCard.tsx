import { MOST_PAYMENTS } from "@/core";
import { inNotation, notationOf } from "@/exchange/notation";
import type { Settings, UsualTerm } from "@/exchange/settings";
import { readPayments, readYearlyRate } from "@/features/typing/read-term";
import { TypedFigure } from "@/features/typing/TypedFigure";

const MOST_TERMS = 8;

type Props = {
  terms: readonly UsualTerm[];
  locale: Settings["locale"];
  onChange: (terms: readonly UsualTerm[]) => void;
};

/** The terms that customers are shown, each with its rate: reach starts from them. */
export function TermsCard({ terms, locale, onChange }: Props) {
  const notation = notationOf(locale);
  const change = (index: number, term: Partial<UsualTerm>) =>
    onChange(terms.map((now, k) => (k === index ? { ...now, ...term } : now)));
  return (
    <section aria-labelledby="terms-title" className="card-paper px-4 py-3">
      <h2 id="terms-title" className="font-semibold text-lg">
        Terms and their rates
      </h2>
      <p className="text-faint text-sm">What a customer is shown of what a budget reaches.</p>
      <ul className="mt-1 grid gap-1">
        {terms.map(({ payments, yearlyRate }, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a line has no other identity than its place.
          <li key={index} className="flex flex-wrap items-center gap-2">
            <TypedFigure
              label={`Term ${index + 1}: payments`}
              className="w-20"
              shown={String(payments)}
              value={payments}
              notation={notation}
              read={readPayments}
              put={value => change(index, { payments: value })}
            />
            <span className="text-faint text-sm">payments at</span>
            <TypedFigure
              label={`Term ${index + 1}: rate`}
              className="w-20"
              shown={inNotation(String(yearlyRate), notation)}
              value={yearlyRate}
              notation={notation}
              read={text => readYearlyRate(text, notation)}
              put={value => change(index, { yearlyRate: value })}
            />
            <span className="text-faint text-sm">%</span>
            <button
              type="button"
              className="min-h-6 cursor-pointer text-primary text-sm underline"
              onClick={() => onChange(terms.filter((_, k) => k !== index))}
            >
              Remove
            </button>
          </li>
        ))}
      </ul>
      {terms.length < MOST_TERMS && (
        <button
          type="button"
          className="mt-1 min-h-6 cursor-pointer font-semibold text-primary text-sm"
          onClick={() => onChange([...terms, nextAfter(terms.at(-1))])}
        >
          + term
        </button>
      )}
    </section>
  );
}

/** A year longer at the same rate. */
function nextAfter(last: UsualTerm | undefined): UsualTerm {
  if (!last) return { payments: 48, yearlyRate: "6" };
  return { ...last, payments: Math.min(MOST_PAYMENTS, last.payments + 12) };
}
