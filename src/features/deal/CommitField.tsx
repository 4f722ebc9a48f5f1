import { useEffect, useId, useRef, useState } from "react";

type Props = {
  label: string;
  value: string;
  placeholder: string;
  suggestions: { value: string; remark?: string | undefined }[];
  className: string;
  /** Whether the officer starts here when the screen opens. */
  focusFirst?: boolean;
  onCommit: (value: string) => void;
};

/** A line of text that counts when it is left, entered or picked, so that half a name is never kept. */
export function CommitField({
  label,
  value,
  placeholder,
  suggestions,
  className,
  focusFirst,
  onCommit,
}: Props) {
  const [text, setText] = useState(value);
  const list = useId();
  const input = useRef<HTMLInputElement>(null);
  const startHere = useRef(focusFirst);
  useEffect(() => {
    if (startHere.current) input.current?.focus();
  }, []);
  useEffect(() => setText(value), [value]);
  const commit = (typed: string) => {
    const tidy = typed.replace(/\s+/g, " ").trim();
    setText(tidy);
    if (tidy !== value) onCommit(tidy);
  };
  return (
    <>
      <input
        ref={input}
        className={`field ${className}`}
        aria-label={label}
        placeholder={placeholder}
        list={list}
        maxLength={120}
        autoComplete="off"
        value={text}
        onChange={event => {
          setText(event.target.value);
          const picked = suggestions.some(suggestion => suggestion.value === event.target.value);
          if (picked) commit(event.target.value);
        }}
        onBlur={() => commit(text)}
        onKeyDown={event => event.key === "Enter" && commit(text)}
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
