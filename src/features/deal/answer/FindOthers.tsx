import { useState } from "react";
import { focusSoon } from "@/features/focus/focus-soon";
import { FOUND_FROM, WISH_FIELD } from "../parts/places";

type Props<Figure extends string> = {
  /** What the screen finds, by the word of its button. */
  finds: readonly (readonly [Figure, string])[];
  onFind: (figure: Figure) => void;
};

/** The figures that can be found instead: the first stands open, the rest one press away. */
export function FindOthers<Figure extends string>({ finds, onFind }: Props<Figure>) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      {(isOpen ? finds : finds.slice(0, 1)).map(([figure, word]) => (
        <button
          key={figure}
          type="button"
          className="btn btn-sm"
          onClick={() => {
            onFind(figure);
            focusSoon(figure === "payment" ? `#${WISH_FIELD}` : FOUND_FROM);
          }}
        >
          Find {word}
        </button>
      ))}
      <button
        type="button"
        aria-expanded={isOpen}
        className="cursor-pointer font-semibold text-primary text-sm"
        onClick={() => setOpen(!isOpen)}
      >
        {isOpen ? "fewer" : "find more"}
      </button>
    </>
  );
}
