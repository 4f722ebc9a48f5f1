import { useEffect, useId, useRef, useState } from "react";
import { LONGEST_NAME } from "@/exchange/deal-document";

/** A name that can be picked, and what it is the name of. */
export type Suggestion<Of> = { value: string; remark?: string | undefined; of: Of };

type Props<Of> = {
  id?: string;
  label: string;
  value: string;
  placeholder: string;
  /** What can be picked for what is typed so far. */
  suggest: (text: string) => Promise<Suggestion<Of>[]>;
  className: string;
  onChange: (value: string) => void;
  /** Something was picked, or typed out in full. */
  onNamed?: (named: Of) => void;
};

const PAUSE_AFTER_TYPING = 120;

const tidy = (text: string) => text.replace(/\s+/g, " ").trim();

/** A name to type or to pick. Spaces at its ends may be typed on the way, but do not count. */
export function NameField<Of>(props: Props<Of>) {
  const { id, label, value, placeholder, className, onChange } = props;
  const [text, setText] = useState(value);
  const list = useId();
  const shown = tidy(text) === value ? text : value;
  const { suggestions, ask } = useSuggestions(props);
  return (
    <>
      <input
        id={id}
        className={`field ${className}`}
        aria-label={label}
        placeholder={placeholder}
        list={list}
        maxLength={LONGEST_NAME}
        autoComplete="off"
        value={shown}
        onFocus={() => ask(value, false)}
        onChange={event => {
          const name = tidy(event.target.value);
          setText(event.target.value);
          onChange(name);
          ask(name, true);
        }}
        onBlur={() => setText(tidy(shown))}
      />
      <datalist id={list}>
        {suggestions.map(each => (
          <option key={each.value} value={each.value}>
            {each.remark}
          </option>
        ))}
      </datalist>
    </>
  );
}

/** What can be picked for the newest text that was asked about, after a pause in typing. */
function useSuggestions<Of>({ suggest, onNamed }: Props<Of>) {
  const [suggestions, setSuggestions] = useState<Suggestion<Of>[]>([]);
  const newest = useRef<{ text: string; timer?: ReturnType<typeof setTimeout> }>({ text: "" });
  // The answer comes later than the typing: by then another option may be open.
  const named = useRef(onNamed);
  useEffect(() => {
    named.current = onNamed;
  });
  const ask = (text: string, isTyped: boolean) => {
    clearTimeout(newest.current.timer);
    const timer = setTimeout(async () => {
      const found = await suggest(text);
      if (newest.current.text !== text) return;
      setSuggestions(found);
      const exact = found.find(({ value }) => value === text);
      if (exact && isTyped) named.current?.(exact.of);
    }, PAUSE_AFTER_TYPING);
    newest.current = { text, timer };
  };
  useEffect(() => () => clearTimeout(newest.current.timer), []);
  return { suggestions, ask };
}
