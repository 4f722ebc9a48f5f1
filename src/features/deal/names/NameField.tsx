import { lazy, Suspense, useRef, useState } from "react";
import { LONGEST_NAME } from "@/exchange/deal-document/longest-name";
import type { Suggestion } from "./NameList";

// Asked for once somebody types: the screen starts without the code for it.
const NameList = lazy(() => import("./NameList").then(({ NameList: list }) => ({ default: list })));

type Props<Of> = {
  id?: string;
  label: string;
  value: string;
  placeholder: string;
  /** What can be picked for what is typed so far. */
  suggest: (text: string) => Promise<Suggestion<Of>[]>;
  className: string;
  onChange: (value: string) => void;
  onPicked: (picked: Of) => void;
  onFocus?: () => void;
  onLeft?: () => void;
};

const tidy = (text: string) => text.replace(/\s+/g, " ").trim();

/** A name to type or to pick. Spaces at its ends may be typed on the way, but do not count. */
export function NameField<Of>(props: Props<Of>) {
  const { id, label, value, placeholder, className, suggest, onChange, onPicked, onFocus, onLeft } = props;
  const [text, setText] = useState(value);
  const [isAsking, setAsking] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const shown = tidy(text) === value ? text : value;
  return (
    <span className={`relative flex ${className}`}>
      <input
        ref={input}
        id={id}
        className="field min-w-0 grow"
        role="combobox"
        aria-autocomplete="list"
        aria-expanded={false}
        aria-label={label}
        placeholder={placeholder}
        maxLength={LONGEST_NAME}
        autoComplete="off"
        value={shown}
        onFocus={onFocus}
        onChange={event => {
          setText(event.target.value);
          onChange(tidy(event.target.value));
          setAsking(true);
        }}
        onKeyDown={({ key }) => key === "ArrowDown" && setAsking(true)}
        onBlur={() => {
          setText(tidy(shown));
          setAsking(false);
          onLeft?.();
        }}
      />
      {isAsking && (
        <Suspense>
          <NameList
            input={input}
            text={value}
            suggest={suggest}
            onPicked={picked => {
              onPicked(picked as Of);
              setAsking(false);
            }}
            onClose={() => setAsking(false)}
          />
        </Suspense>
      )}
    </span>
  );
}
