import { DayPicker } from "react-day-picker";
import "react-day-picker/style.css";
import { civilDate, type DayNumber, dayNumber } from "@/core";
import { plainDate } from "@/exchange/notation";
import { readDate, shortDate } from "@/exchange/text";
import type { FieldName } from "../fields";
import { fieldText, notationIn } from "../option";
import { useOption } from "../option/option-context";

type Props = { field: FieldName; label: string; onPicked: () => void };

const toDate = (day: DayNumber) => {
  const { year, month, day: ofMonth } = civilDate(day);
  return new Date(year, month - 1, ofMonth);
};
const toDay = (date: Date) => dayNumber(date.getFullYear(), date.getMonth() + 1, date.getDate());

/** A month of days; the picked one is typed into the field. */
export function DayCalendar({ field, label, onPicked }: Props) {
  const { option, act } = useOption();
  const today = toDay(new Date());
  const notation = notationIn(option);
  const shown = readDate(plainDate(fieldText(option, field), notation), {
    from: today,
    today,
    isAfter: false,
  });
  const selected = shown === undefined ? undefined : toDate(shown);
  return (
    <DayPicker
      aria-label={label}
      mode="single"
      autoFocus
      weekStartsOn={notation.weekStartsOn === "Monday" ? 1 : 0}
      required
      selected={selected}
      {...(selected && { defaultMonth: selected })}
      onSelect={date => {
        act({ type: "typed", field, text: shortDate(toDay(date)) });
        act({ type: "left", field });
        onPicked();
      }}
    />
  );
}
