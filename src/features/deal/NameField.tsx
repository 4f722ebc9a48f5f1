import { memo, useId, useState } from "react";

type Suggestion = { value: string; remark?: string | undefined };

type Props = {
  id?: string;
  label: string;
  value: string;
  placeholder: string;
  suggestions: Suggestion[];
  className: string;
  onChange: (value: string) => void;
};

const tidy = (text: string) => text.replace(/\s+/g, " ").trim();

/** A name to type or to pick. Spaces at its ends may be typed on the way, but do not count. */
export function NameField({ id, label, value, placeholder, suggestions, className, onChange }: Props) {
  const [text, setText] = useState(value);
  const list = useId();
  const shown = tidy(text) === value ? text : value;
  return (
    <>
      <input
        id={id}
        className={`field ${className}`}
        aria-label={label}
        placeholder={placeholder}
        list={list}
        maxLength={120}
        autoComplete="off"
        value={shown}
        onChange={event => {
          setText(event.target.value);
          onChange(tidy(event.target.value));
        }}
        onBlur={() => setText(tidy(shown))}
      />
      <Suggestions id={list} suggestions={suggestions} />
    </>
  );
}

/** Drawn once, not with every key. */
const Suggestions = memo(function Suggestions({
  id,
  suggestions,
}: {
  id: string;
  suggestions: Suggestion[];
}) {
  return (
    <datalist id={id}>
      {suggestions.map(({ value, remark }) => (
        <option key={value} value={value}>
          {remark}
        </option>
      ))}
    </datalist>
  );
});
