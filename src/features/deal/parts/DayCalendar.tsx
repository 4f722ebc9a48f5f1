import { DayPicker } from "react-day-picker";
import "react-day-picker/style.css";
import { civilDate, type DayNumber, dayNumber } from "@/core";
import { readDate, shortDate } from "@/exchange/text";
import { useDesk } from "../desk/desk-context";
import type { FieldName } from "../fields";
import { fieldText } from "../option";

type Props = { field: FieldName; label: string; onPicked: () => void };

const toDate = (day: DayNumber) => {
  const { year, month, day: ofMonth } = civilDate(day);
  return new Date(year, month - 1, ofMonth);
};
const toDay = (date: Date) => dayNumber(date.getFullYear(), date.getMonth() + 1, date.getDate());

/** A month of days; the picked one is typed into the field. */
export function DayCalendar({ field, label, onPicked }: Props) {
  const { option, act } = useDesk();
  const today = toDay(new Date());
  const shown = readDate(fieldText(option, field), { from: today, today, isAfter: false, isDayFirst: false });
  const selected = shown === undefined ? undefined : toDate(shown);
  return (
    <DayPicker
      aria-label={label}
      mode="single"
      autoFocus
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
