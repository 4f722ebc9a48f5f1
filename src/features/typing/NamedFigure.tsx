import { useId } from "react";
import type { Notation } from "@/exchange/notation";
import { TypedFigure } from "./TypedFigure";
import type { Read } from "./use-typed";

type Props = {
  label: string;
  /** The figure as it stands in its field; empty where there is none. */
  shown: string;
  notation: Notation;
  read: (text: string) => Read<string | undefined>;
  put: (value: string | undefined) => void;
  /** Where it is a date, and no figure. */
  isDate?: boolean;
  /** Where it is no part of a deal, and the browser undoes it. */
  isOwnUndo?: boolean;
};

/** A figure that can be left out, under its name. */
export function NamedFigure({ label, shown, ...rest }: Props) {
  const id = useId();
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="block text-faint text-sm">
        {label}
      </label>
      <TypedFigure
        id={id}
        shown={shown}
        value={shown === "" ? undefined : shown}
        {...rest}
        className="w-full"
      />
    </div>
  );
}
