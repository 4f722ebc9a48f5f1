import { useId } from "react";
import { inNotation, type Notation } from "@/exchange/notation";
import { typedOtherWay } from "@/exchange/typing";
import { OtherWay } from "./OtherWay";
import { type Read, useTyped } from "./use-typed";

type Props<Value> = {
  /** Left out where a label stands beside it, with this id. */
  label?: string;
  id?: string;
  shown: string;
  value: Value;
  notation: Notation;
  /** Reads what is typed; its sentence is written as the place writes figures. */
  read: (text: string) => Read<Value>;
  put: (value: Value) => void;
  className: string;
  placeholder?: string;
  /** Where it is a date, and no figure. */
  isDate?: boolean;
  /** Where it is no part of the deal, and the browser undoes it. */
  isOwnUndo?: boolean;
};

/** A figure outside a deal's own fields, changed where it stands; one that cannot be read says why beside it. */
export function TypedFigure<Value>(props: Props<Value>) {
  const { label, shown, value, notation, read, put, className, placeholder, isDate, isOwnUndo } = props;
  const ownId = useId();
  const id = props.id ?? ownId;
  const { typed, sentence, text, type, leave, take } = useTyped({ shown, value, read, put });
  const meant = sentence === undefined || isDate ? undefined : typedOtherWay(typed ?? "", notation);
  const otherWay = meant !== undefined && "value" in read(meant) ? meant : undefined;
  return (
    <>
      <input
        id={id}
        className={`field ${isDate ? "" : "text-right"} ${className}`}
        inputMode={isDate ? undefined : "decimal"}
        autoComplete="off"
        aria-label={label}
        placeholder={placeholder}
        value={text}
        data-own-undo={isOwnUndo ? "" : undefined}
        aria-invalid={sentence !== undefined}
        aria-describedby={sentence === undefined ? undefined : `${id}-error`}
        onChange={event => type(event.target.value)}
        onBlur={leave}
      />
      {sentence !== undefined && (
        <span className="ml-1 font-sans text-error text-sm" id={`${id}-error`}>
          {inNotation(sentence, notation)}{" "}
          {otherWay !== undefined && <OtherWay text={otherWay} onTake={() => take(otherWay)} />}
        </span>
      )}
    </>
  );
}
