import type { Ref } from "react";
import type { WantedFigure } from "@/core/moves";

/** What the field of the wish does with the candidates under it. */
export type MovesHandle = {
  choose: (by: 1 | -1) => void;
  take: (asOption: boolean) => void;
};

/** What would have to move for a wish is shown with. */
export type MovesProps = {
  ref: Ref<MovesHandle>;
  figure: WantedFigure;
  /** What was typed for it. */
  text: string;
  /** Whether it cannot be read. */
  onWrong: (isWrong: boolean) => void;
  /** A candidate was taken, so that nothing is wanted any more. */
  onTaken: () => void;
};
