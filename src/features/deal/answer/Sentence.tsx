import { type ComponentProps, createElement, Fragment, type ReactNode } from "react";
import type { Segment } from "@/exchange/kinds/kind/segment";
import { LiveFigure } from "./LiveFigure";

/** Where a figure of a sentence leads that is picked. */
export type Way = Omit<ComponentProps<typeof LiveFigure>, "text" | "after">;

type Props<Figure extends string> = {
  /** One that was signed can name figures that no sentence has any more; they lead nowhere. */
  segments: readonly Segment<string>[];
  ways: Readonly<Record<Figure, Way>>;
};

/** A sentence, with its figures to be picked. */
export function Sentence<Figure extends string>({ segments, ways }: Props<Figure>): ReactNode {
  // Not as a list, whose items would want keys: a piece is where it stands.
  return createElement(Fragment, null, ...segments.map(segment => drawn(segment, ways)));
}

function drawn(segment: Segment<string>, ways: Readonly<Record<string, Way>>): ReactNode {
  if (typeof segment === "string") return segment;
  if ("strong" in segment) return <strong className="font-semibold">{segment.strong}</strong>;
  const { figure, ...text } = segment;
  return <LiveFigure {...ways[figure]} {...text} />;
}
