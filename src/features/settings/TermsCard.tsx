import { useState } from "react";
import { MOST_PAYMENTS } from "@/core";
import { inNotation, notationOf, plainFigure } from "@/exchange/notation";
import type { Settings, UsualTerm } from "@/exchange/settings";

const MOST_TERMS = 8;

type Props = {
  terms: readonly UsualTerm[];
  locale: Settings["locale"];
  onChange: (terms: readonly UsualTerm[]) => void;
};

type Texts = { payments: string; yearlyRate: string };

/** The terms that customers are shown, each with its rate: reach starts from them. */
export function TermsCard({ terms, locale, onChange }: Props) {
  const notation = notationOf(locale);
  const shown = terms.map(
    ({ payments, yearlyRate }): Texts => ({
      payments: String(payments),
      yearlyRate: inNotation(String(yearlyRate), notation),
    }),
  );
  const [typed, setTyped] = useState<Texts[] | null>(null);
  const lines = typed ?? shown;
  const read = (texts: Texts) => readTerm(texts, text => plainFigure(text.trim(), notation));
  const change = (next: Texts[]) => {
    const all = next.map(read);
    const isWhole = all.every(term => term !== undefined);
    setTyped(isWhole ? null : next);
    if (isWhole) onChange(all.filter(term => term !== undefined));
  };
  return (
    <section aria-labelledby="terms-title" className="card-paper px-4 py-3">
      <h2 id="terms-title" className="font-semibold text-lg">
        Terms and their rates
      </h2>
      <p className="text-faint text-sm">What a customer is shown of what a budget reaches.</p>
      <ul className="mt-1 grid gap-1">
        {lines.map((line, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a line has no other identity than its place.
          <li key={index} className="flex flex-wrap items-center gap-2">
            {(["payments", "yearlyRate"] as const).map(name => (
              <label key={name} className="flex items-center gap-1.5">
                <input
                  className="field w-20 text-right"
                  inputMode="decimal"
                  aria-label={`Term ${index + 1}: ${name === "payments" ? "payments" : "rate"}`}
                  aria-invalid={read(line) === undefined}
                  value={line[name]}
                  onChange={event =>
                    change(
                      lines.map((each, k) => (k === index ? { ...each, [name]: event.target.value } : each)),
                    )
                  }
                />
                <span className="text-faint text-sm">{name === "payments" ? "payments at" : "%"}</span>
              </label>
            ))}
            <button
              type="button"
              className="min-h-6 cursor-pointer text-primary text-sm underline"
              onClick={() => change(lines.filter((_, k) => k !== index))}
            >
              Take it out
            </button>
            {read(line) === undefined && (
              <span className="text-error text-sm">Type 1 to 1,200 payments and a percent a year.</span>
            )}
          </li>
        ))}
      </ul>
      {lines.length < MOST_TERMS && (
        <button
          type="button"
          className="mt-1 min-h-6 cursor-pointer font-semibold text-primary text-sm"
          onClick={() => change([...lines, nextAfter(lines.at(-1))])}
        >
          + term
        </button>
      )}
    </section>
  );
}

/** A year longer at the same rate. */
function nextAfter(last: Texts | undefined): Texts {
  return last
    ? {
        payments: String(Math.min(MOST_PAYMENTS, Number(last.payments) + 12 || 60)),
        yearlyRate: last.yearlyRate,
      }
    : { payments: "48", yearlyRate: "6" };
}

function readTerm({ payments, yearlyRate }: Texts, plain: (text: string) => string): UsualTerm | undefined {
  const [count, rate] = [plain(payments), plain(yearlyRate).replace(/\s*%$/, "")];
  const isCount = /^\d{1,4}$/.test(count) && Number(count) >= 1 && Number(count) <= MOST_PAYMENTS;
  return isCount && /^\d{1,3}(\.\d{1,8})?$/.test(rate)
    ? { payments: Number(count), yearlyRate: rate }
    : undefined;
}
