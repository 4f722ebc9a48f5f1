import type { ReactNode } from "react";
import { isoDate, MOST_PAYMENTS, parseIsoDate } from "@/core";
import { STATED_AMOUNTS } from "@/core/match";
import type { StatedFile } from "@/exchange/match/match.schema";
import { statedName } from "@/exchange/match/stated-words";
import { withOptional } from "@/exchange/members";
import { dateIn, decimalIn, type Notation, plainDate } from "@/exchange/notation";
import { readDate } from "@/exchange/text";
import { todaysDay } from "@/features/figures/today";
import { NamedFigure } from "@/features/typing/NamedFigure";
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
    <section
      data-their-figures
      aria-labelledby="what-they-say"
      className="border-base-300 border-t px-4 py-3"
    >
      <h2 id="what-they-say" className="font-semibold text-lg">
        What they say
      </h2>
      <div className="mt-1 grid grid-cols-2 gap-x-3 gap-y-1.5">
        {STATED_AMOUNTS.map(name => (
          <NamedFigure
            key={name}
            label={statedName(name, isLease)}
            shown={shown(stated[name])}
            notation={notation}
            read={text => readSaidAmount(text, notation)}
            put={value => change(now => withOptional(now, name, value), name)}
          />
        ))}
        <NamedFigure
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

type PartProps = Omit<Props, "isLease">;

/** A figure with what says when it is: two fields under one name. */
function When({ name, children }: { name: string; children: ReactNode }) {
  return (
    <fieldset className="min-w-0">
      <legend className="block text-faint text-sm">{name}</legend>
      <div className="flex flex-wrap gap-1">{children}</div>
    </fieldset>
  );
}

type AmountProps = {
  label: string;
  amount: string | number | undefined;
  notation: Notation;
  put: (amount: string | number | undefined) => void;
};

function Amount({ label, amount, notation, put }: AmountProps) {
  return (
    <TypedFigure
      label={label}
      shown={shownAmount(amount, notation)}
      value={amount}
      notation={notation}
      read={(text): Read<string | number | undefined> => readSaidAmount(text, notation)}
      put={put}
      className="min-w-0 flex-1"
    />
  );
}

function readNumber(text: string): Read<number | undefined> {
  const digits = text.trim();
  if (digits === "") return { value: undefined };
  const isOne = /^\d{1,4}$/.test(digits) && Number(digits) >= 1 && Number(digits) <= MOST_PAYMENTS;
  return isOne ? { value: Number(digits) } : { sentence: "the number of a payment" };
}

/** What is owed after a payment; where its number is not said, after a year. */
function Balance({ stated: { balance }, notation, change }: PartProps) {
  return (
    <When name="Owed after payment">
      <TypedFigure
        label="Number of the payment after which it is owed"
        shown={balance ? String(balance.after) : ""}
        value={balance?.after}
        notation={notation}
        read={readNumber}
        put={after =>
          change(
            now => withOptional(now, "balance", after === undefined ? undefined : { ...now.balance, after }),
            "owed",
          )
        }
        placeholder="no."
        className="w-12"
      />
      <Amount
        label="Owed after that payment"
        amount={balance?.amount}
        notation={notation}
        put={amount =>
          change(
            now =>
              withOptional(
                now,
                "balance",
                amount === undefined ? undefined : { after: now.balance?.after ?? A_YEAR, amount },
              ),
            "owed",
          )
        }
      />
    </When>
  );
}

/** A payoff; where its day is not said, today. */
function Payoff({ stated: { payoff }, notation, change }: PartProps) {
  const day = payoff ? parseIsoDate(payoff.on) : undefined;
  const today = todaysDay();
  return (
    <When name="Payoff on a date">
      <TypedFigure
        label="Day of the payoff"
        shown={day === undefined ? "" : dateIn(day, notation)}
        value={payoff?.on}
        notation={notation}
        isDate
        read={text => {
          if (text.trim() === "") return { value: undefined };
          const read = readDate(plainDate(text, notation), { from: today, today, isAfter: false });
          return read === undefined ? { sentence: "a date such as 24 Nov 2027" } : { value: isoDate(read) };
        }}
        put={on =>
          change(
            now => withOptional(now, "payoff", on === undefined ? undefined : { ...now.payoff, on }),
            "payoff",
          )
        }
        placeholder="date"
        className="w-25 px-1.5"
      />
      <Amount
        label="Payoff on that day"
        amount={payoff?.amount}
        notation={notation}
        put={amount =>
          change(
            now =>
              withOptional(
                now,
                "payoff",
                amount === undefined ? undefined : { on: now.payoff?.on ?? isoDate(today), amount },
              ),
            "payoff",
          )
        }
      />
    </When>
  );
}
