import { type KeyboardEvent, type ReactNode, Suspense, useEffect, useRef, useState } from "react";
import { useDesk } from "../desk/desk-context";
import type { MovesHandle } from "../desk/moves-props";
import type { DeskFind } from "../fields";
import { useOption } from "../option/option-context";
import { ChoiceInWords } from "../parts/ChoiceInWords";
import { WISH_FIELD } from "../parts/places";

type Props = {
  /** The ways to find something for a wanted payment. */
  children: (find: (figure: DeskFind) => void) => ReactNode;
};

/** While the payment is found: say what a figure should be, and what would have to move appears. */
export function MakeIt({ children }: Props) {
  const { option, act } = useOption();
  const { wished, wish, wishSaid, sayWish, Moves } = useDesk();
  const [text, setText] = useState("");
  useEffect(() => {
    if (wishSaid === null) return;
    setText(wishSaid);
    sayWish(null);
  }, [wishSaid, sayWish]);
  const [isWrong, setWrong] = useState(false);
  const moves = useRef<MovesHandle>(null);
  const { wishes } = option.desk;
  const asked = wishes.some(([each]) => each === wished) ? wished : "payment";
  const isWish = text.trim() !== "";
  const find = (found: DeskFind) =>
    act({ type: "find", figure: found, ...(isWish && asked === "payment" && { wish: text }) });
  const press = (event: KeyboardEvent) => {
    if (event.key === "ArrowDown") moves.current?.choose(1);
    else if (event.key === "ArrowUp") moves.current?.choose(-1);
    else if (event.key === "Enter") moves.current?.take(event.shiftKey);
    else if (event.key === "Escape") setText("");
    else return;
    event.preventDefault();
  };
  return (
    <>
      <label htmlFor={WISH_FIELD} className="text-faint">
        Make the
      </label>
      <ChoiceInWords label="Which figure is wanted" value={asked} choices={wishes} onChange={wish} />
      <input
        id={WISH_FIELD}
        // A wish that was taken is undone like any change of the deal.
        data-own-undo={isWish || undefined}
        aria-label="Make it"
        className="field w-28 text-right"
        autoComplete="off"
        value={text}
        onChange={event => setText(event.target.value)}
        onKeyDown={press}
        aria-invalid={isWish && isWrong}
        aria-describedby={isWish && isWrong ? "wish-error" : undefined}
      />
      {children(find)}
      {isWish && (
        <Suspense fallback={null}>
          <Moves ref={moves} figure={asked} text={text} onWrong={setWrong} onTaken={() => setText("")} />
        </Suspense>
      )}
    </>
  );
}
