import { FREQUENCY_NAMES, type Frequency, isoDate, parseIsoDate } from "@/core";
import { withOptional } from "@/exchange/members";
import { dateIn, decimalIn, type Notation, plainDate } from "@/exchange/notation";
import { readDate } from "@/exchange/text";
import { WordSelect } from "@/features/deal/parts/WordSelect";
import { todaysDay } from "@/features/figures/today";
import { readSaidAmount, readSaidPercent } from "@/features/match/read-said";
import { NamedFigure } from "@/features/typing/NamedFigure";
import { readPayments } from "@/features/typing/read-term";
import type { Read } from "@/features/typing/use-typed";
import type { KnownTerms } from "./known-loan";

type Props = { known: KnownTerms; notation: Notation; put: (known: KnownTerms) => void };

const KINDS = [
  ["loan", "loan"],
  ["lease", "lease"],
] as const;

const FREQUENCIES = Object.entries(FREQUENCY_NAMES).map(
  ([frequency, { adjective }]) => [frequency as Frequency, adjective] as const,
);

/** What is known of a loan or a lease that no deal stands for. */
export function KnownCard({ known, notation, put }: Props) {
  const isLease = known.kind === "lease";
  const text = (name: TextName): Parts => ({
    shown: known[name] === undefined ? "" : decimalIn(`${known[name]}`, notation),
    put: value => put(withOptional(known, name, value)),
  });
  const amount = (typed: string) => readSaidAmount(typed, notation);
  return (
    <section aria-labelledby="known" className="px-4 py-3">
      <h2 id="known" className="font-semibold text-lg">
        The{" "}
        <WordSelect
          label="Loan or lease"
          value={known.kind}
          choices={KINDS}
          onChange={kind => put({ ...known, kind })}
        />
      </h2>
      <div className="mt-1 grid grid-cols-2 gap-x-3 gap-y-1.5">
        <NamedFigure
          isOwnUndo
          label={isLease ? "Adjusted capitalized cost" : "Loan amount"}
          {...text("amount")}
          read={amount}
          notation={notation}
        />
        <NamedFigure
          isOwnUndo
          label={isLease ? "Money factor" : "Rate, as they call it, %"}
          {...text("rate")}
          read={typed => readSaidPercent(typed, notation)}
          notation={notation}
        />
        <div className="flex min-w-0 items-end gap-2">
          <NamedFigure
            isOwnUndo
            label="Payments"
            shown={known.payments === undefined ? "" : String(known.payments)}
            read={typed => (typed.trim() === "" ? { value: undefined } : asText(readPayments(typed)))}
            put={value =>
              put(withOptional(known, "payments", value === undefined ? undefined : Number(value)))
            }
            notation={notation}
          />
          <WordSelect
            label="How often payments are made"
            style={{ marginBottom: "0.375rem" }}
            value={known.frequency}
            choices={FREQUENCIES}
            onChange={frequency => put({ ...known, frequency })}
          />
        </div>
        <NamedFigure
          isOwnUndo
          label={isLease ? "Residual" : "Balloon"}
          {...text("atEnd")}
          read={amount}
          notation={notation}
        />
        {isLease && (
          <NamedFigure
            isOwnUndo
            label="Tax on each payment, %"
            {...text("tax")}
            read={typed => readSaidPercent(typed, notation)}
            notation={notation}
          />
        )}
        <Dated label="Contract date" name="signed" known={known} notation={notation} put={put} />
        {!isLease && (
          <Dated label="First payment" name="firstPayment" known={known} notation={notation} put={put} />
        )}
      </div>
    </section>
  );
}

type TextName = "amount" | "rate" | "atEnd" | "tax";
type Parts = { shown: string; put: (value: string | undefined) => void };

const asText = (read: Read<number>): Read<string | undefined> =>
  "value" in read ? { value: String(read.value) } : read;

function Dated({
  label,
  name,
  known,
  notation,
  put,
}: Props & { label: string; name: "signed" | "firstPayment" }) {
  const day = parseIsoDate(known[name] ?? "");
  const today = todaysDay();
  return (
    <NamedFigure
      isOwnUndo
      label={label}
      shown={day === undefined ? "" : dateIn(day, notation)}
      notation={notation}
      isDate
      read={typed => {
        if (typed.trim() === "") return { value: undefined };
        const read = readDate(plainDate(typed, notation), { from: today, today, isAfter: false });
        return read === undefined ? { sentence: "a date such as 24 Nov 2026" } : { value: isoDate(read) };
      }}
      put={value => put(withOptional(known, name, value))}
    />
  );
}
