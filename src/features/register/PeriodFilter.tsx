import { useState } from "react";
import { isoDate, parseIsoDate } from "@/core";
import { dateIn, type Notation, plainDate } from "@/exchange/notation";
import { readDate } from "@/exchange/text";
import { localToday } from "@/features/figures/today";
import { TypedFigure } from "@/features/typing/TypedFigure";
import type { Read } from "@/features/typing/use-typed";
import { nameOfPeriod, PERIOD_NAMES, type Period, type PeriodName, periodOf } from "./periods";

type Days = { from: string | null; to: string | null };
type Props = { days: Days; notation: Notation; onChange: (days: Days) => void };

const BETWEEN = "between";

/** When deals were last changed: in a usual period, or between two days. */
export function PeriodFilter({ days, notation, onChange }: Props) {
  const today = parseIsoDate(localToday()) ?? 0;
  const named = nameOfPeriod(definite(days), today);
  const [isBetween, setBetween] = useState(named === null && (days.from ?? days.to) !== null);
  const choose = (value: string) => {
    setBetween(value === BETWEEN);
    if (value === "") onChange({ from: null, to: null });
    else if (value !== BETWEEN) onChange(periodOf(value as PeriodName, today));
  };
  const field = (end: "from" | "to", label: string) => (
    <TypedFigure
      label={label}
      isDate
      className="w-32"
      placeholder={end === "from" ? "from" : "to"}
      shown={dayText(days[end], notation)}
      value={days[end]}
      notation={notation}
      read={text => readDay(text, notation)}
      put={day => onChange({ ...days, [end]: day })}
    />
  );
  return (
    <>
      <select
        aria-label="Last changed"
        className="field w-auto [field-sizing:content]"
        value={isBetween ? BETWEEN : (named ?? "")}
        onChange={event => choose(event.target.value)}
      >
        <option value="">Any time</option>
        {Object.entries(PERIOD_NAMES).map(([name, words]) => (
          <option key={name} value={name}>
            {words}
          </option>
        ))}
        <option value={BETWEEN}>Between two dates</option>
      </select>
      {isBetween && field("from", "Changed from")}
      {isBetween && field("to", "Changed until")}
    </>
  );
}

const definite = ({ from, to }: Days): Partial<Period> => ({ ...(from && { from }), ...(to && { to }) });

function dayText(iso: string | null, notation: Notation): string {
  const day = iso === null ? undefined : parseIsoDate(iso);
  return day === undefined ? "" : dateIn(day, notation);
}

function readDay(text: string, notation: Notation): Read<string | null> {
  if (text.trim() === "") return { value: null };
  const today = parseIsoDate(localToday()) ?? 0;
  const day = readDate(plainDate(text.trim(), notation), { from: today, today, isAfter: false });
  return day === undefined ? { sentence: "Type a date such as 24 Nov 2026." } : { value: isoDate(day) };
}
