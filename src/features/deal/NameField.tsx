import { useId, useState } from "react";

type Props = {
  id?: string;
  label: string;
  value: string;
  placeholder: string;
  suggestions: { value: string; remark?: string | undefined }[];
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
      <datalist id={list}>
        {suggestions.map(({ value: suggestion, remark }) => (
          <option key={suggestion} value={suggestion}>
            {remark}
          </option>
        ))}
      </datalist>
    </>
  );
}
