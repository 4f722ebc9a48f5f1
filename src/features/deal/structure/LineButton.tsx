import { memo } from "react";
import type { ListName } from "../fields";
import { useLinkOrder } from "../parts/line-links";
import { isOpenLine, type Opening } from "./use-structure";

type Props = { list: ListName; index: number; name: string; opening: Opening; children: string };

/** What a line is, in words; pressed, it opens to be changed. */
export const LineButton = memo(function LineButton({ list, index, name, opening, children }: Props) {
  const isOpen = isOpenLine(opening, list, index);
  return (
    <button
      type="button"
      {...useLinkOrder()}
      aria-expanded={isOpen}
      aria-label={`Change ${name}`}
      title={`Change ${name}`}
      className="cursor-pointer text-left text-primary underline decoration-dotted underline-offset-2"
      onClick={() => opening.setOpen(isOpen ? null : { list, index })}
    >
      {children}
    </button>
  );
});
