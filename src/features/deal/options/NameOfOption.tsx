import { useRef, useState } from "react";
import { LONGEST_NAME } from "@/exchange/deal-document";

type Props = {
  name: string;
  proposed: string;
  /** With nothing where the name stays. */
  onDone: (name?: string) => void;
};

/** The name of an option while it is typed. */
export function NameOfOption({ name, proposed, onDone }: Props) {
  const [text, setText] = useState(name);
  const isDone = useRef(false);
  const done = (typed?: string) => {
    if (isDone.current) return;
    isDone.current = true;
    onDone(typed);
  };
  return (
    <input
      // biome-ignore lint/a11y/noAutofocus: the name was asked for
      autoFocus
      data-own-undo=""
      className="field m-1.5"
      aria-label="Name of the option"
      placeholder={proposed}
      maxLength={LONGEST_NAME}
      value={text}
      onChange={event => setText(event.target.value)}
      onBlur={() => done(text)}
      onKeyDown={event => {
        if (event.key === "Enter") done(text);
        if (event.key === "Escape") done();
      }}
    />
  );
}
