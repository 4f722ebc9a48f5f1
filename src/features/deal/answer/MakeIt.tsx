import { type ReactNode, useState } from "react";
import type { DeskFind, FieldName } from "../fields";
import { readTyped } from "../option";
import { useNotation, useOption } from "../option/option-context";

type Props = {
  /** The field that reads the payment. */
  field: FieldName;
  /** What Enter finds. */
  first: DeskFind;
  /** The ways to find something else for it. */
  children: (find: (figure: DeskFind) => void) => ReactNode;
};

/** While the payment is found: say what it should be, then what has to move. */
export function MakeIt({ field, first, children }: Props) {
  const { option, act } = useOption();
  const { say } = useNotation();
  const [wish, setWish] = useState("");
  const reading = readTyped(option, field, wish);
  const payment = reading.ok ? reading.file.plan.payment : undefined;
  const error = reading.ok ? undefined : say(reading.sentence);
  const find = (figure: DeskFind) => {
    if (error) return;
    act({ type: "find", figure, ...(payment !== undefined && { payment: String(payment) }) });
  };
  return (
    <form
      className="contents"
      onSubmit={event => {
        event.preventDefault();
        find(first);
      }}
    >
      <label htmlFor="wish" className="text-faint">
        Make it
      </label>
      <input
        id="wish"
        className="field w-24 text-right"
        inputMode="decimal"
        autoComplete="off"
        value={wish}
        onChange={event => setWish(event.target.value)}
        aria-invalid={error !== undefined}
        aria-describedby={error ? "wish-error" : undefined}
      />
      {children(find)}
      {error && (
        <p id="wish-error" className="basis-full text-error text-sm">
          {error}
        </p>
      )}
    </form>
  );
}
