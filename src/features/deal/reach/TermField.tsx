import { useState } from "react";
import { plainFigure } from "@/exchange/notation";
import { useNotation } from "../option/option-context";

type FieldProps<Read> = {
  label: string;
  text: string;
  read: (plain: string) => Read | null;
  /** What it must be, in a word. */
  wrong: string;
  onRead: (read: Read) => void;
};

/** A figure of a term, to be changed where it stands. */
export function TermField<Read>({ label, text, read, wrong, onRead }: FieldProps<Read>) {
  const { notation } = useNotation();
  const [typed, setTyped] = useState<string | null>(null);
  const isWrong = typed !== null && read(plainFigure(typed.trim(), notation)) === null;
  return (
    <>
      <input
        data-own-undo=""
        className="field inline-block w-16 text-right"
        inputMode="decimal"
        aria-label={label}
        aria-invalid={isWrong}
        value={typed ?? text}
        onChange={event => {
          setTyped(event.target.value);
          const value = read(plainFigure(event.target.value.trim(), notation));
          if (value) onRead(value);
        }}
        onBlur={() => !isWrong && setTyped(null)}
      />
      {isWrong && <span className="ml-1 text-error text-sm">{wrong}</span>}
    </>
  );
}
