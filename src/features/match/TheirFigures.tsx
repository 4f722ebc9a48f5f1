import { useId } from "react";
import { isoDate, MOST_PAYMENTS, parseIsoDate } from "@/core";
import { STATED_AMOUNTS } from "@/core/match";
import type { StatedFile } from "@/exchange/match/match.schema";
import { statedName } from "@/exchange/match/stated-words";
import { withOptional } from "@/exchange/members";
import { dateIn, decimalIn, type Notation, plainDate } from "@/exchange/notation";
import { readDate } from "@/exchange/text";
import { todaysDay } from "@/features/figures/today";
import { TypedFigure } from "@/features/typing/TypedFigure";
import type { Read } from "@/features/typing/use-typed";
import { readSaidAmount, readSaidPercent } from "./read-said";
import { TheirTable } from "./TheirTable";

type Props = {
  stated: StatedFile;
  notation: Notation;
  isLease: boolean;
  /** Changes what they say; more of the same, such as typing in one field, is one step. */
  change: (change: (now: StatedFile) => StatedFile, key: string) => void;
};

/** What another says: any of its figures, or its table. */
export function TheirFigures({ stated, notation, isLease, change }: Props) {
  const shown = (typed: string | number | undefined) => shownAmount(typed, notation);
  return (
    <section aria-labelledby="what-they-say" className="border-base-300 border-t px-4 py-3">
      <h2 id="what-they-say" className="font-semibold text-lg">
        What they say
      </h2>
      <div className="mt-1 grid grid-cols-2 gap-x-3 gap-y-2">
        {STATED_AMOUNTS.map(name => (
          <Said
            key={name}
            label={statedName(name, isLease)}
            shown={shown(stated[name])}
            notation={notation}
            read={text => readSaidAmount(text, notation)}
            put={value => change(now => withOptional(now, name, value), name)}
          />
        ))}
        <Said
          label={`${statedName("apr", isLease)}, %`}
          shown={shown(stated.apr)}
          notation={notation}
          read={text => readSaidPercent(text, notation)}
          put={value => change(now => withOptional(now, "apr", value), "apr")}
        />
        <Balance stated={stated} notation={notation} change={change} />
        {!isLease && <Payoff stated={stated} notation={notation} change={change} />}
      </div>
      <TheirTable
        table={stated.table}
        notation={notation}
        put={table => change(now => withOptional(now, "table", table), "table")}
      />
    </section>
  );
}

function shownAmount(typed: string | number | undefined, notation: Notation): string {
  return typed === undefined ? "" : decimalIn(String(typed), notation);
}

/** What is owed is mostly told after a year. */
const A_YEAR = 12;

type SaidProps = {
  label: string;
  shown: string;
  notation: Notation;
  read: (text: string) => Read<string | undefined>;
  put: (value: string | undefined) => void;
  isDate?: boolean;
};

function Said({ label, shown, notation, read, put, isDate = false }: SaidProps) {
  const id = useId();
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="block text-faint text-sm">
        {label}
      </label>
      <TypedFigure
        id={id}
        shown={shown}
        value={shown === "" ? undefined : shown}
        notation={notation}
        read={read}
        put={put}
        isDate={isDate}
        className="w-full"
      />
    </div>
  );
}

type PartProps = Omit<Props, "isLease">;

/** What is owed after a payment: its number with the amount. An amount without a number waits for it. */
function Balance({ stated: { balance }, notation, change }: PartProps) {
  const readNumber = (text: string): Read<string | undefined> => {
    const digits = text.trim();
    if (digits === "") return { value: undefined };
    return /^\d{1,4}$/.test(digits) && Number(digits) >= 1 && Number(digits) <= MOST_PAYMENTS
      ? { value: digits }
      : { sentence: "the number of a payment" };
  };
  return (
    <>
      <Said
        label="Owed after payment no."
        shown={balance ? String(balance.after) : ""}
        notation={notation}
        read={readNumber}
        put={value =>
          change(
            now =>
              withOptional(
                now,
                "balance",
                value === undefined ? undefined : { ...now.balance, after: Number(value) },
              ),
            "owed",
          )
        }
      />
      <Said
        label="Owed then"
        shown={shownAmount(balance?.amount, notation)}
        notation={notation}
        read={text => readSaidAmount(text, notation)}
        put={value =>
          change(
            now =>
              withOptional(
                now,
                "balance",
                value === undefined ? undefined : { after: now.balance?.after ?? A_YEAR, amount: value },
              ),
            "owed",
          )
        }
      />
    </>
  );
}

/** A payoff: its day with the amount. */
function Payoff({ stated: { payoff }, notation, change }: PartProps) {
  const day = payoff ? parseIsoDate(payoff.on) : undefined;
  const today = todaysDay();
  return (
    <>
      <Said
        label="Payoff on"
        shown={day === undefined ? "" : dateIn(day, notation)}
        notation={notation}
        isDate
        read={text => {
          if (text.trim() === "") return { value: undefined };
          const read = readDate(plainDate(text, notation), { from: today, today, isAfter: false });
          return read === undefined ? { sentence: "a date such as 24 Nov 2027" } : { value: isoDate(read) };
        }}
        put={value =>
          change(
            now =>
              withOptional(now, "payoff", value === undefined ? undefined : { ...now.payoff, on: value }),
            "payoff",
          )
        }
      />
      <Said
        label="Payoff then"
        shown={shownAmount(payoff?.amount, notation)}
        notation={notation}
        read={text => readSaidAmount(text, notation)}
        put={value =>
          change(
            now =>
              withOptional(
                now,
                "payoff",
                value === undefined ? undefined : { on: now.payoff?.on ?? isoDate(today), amount: value },
              ),
            "payoff",
          )
        }
      />
    </>
  );
}
