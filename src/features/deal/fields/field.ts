import type { Deal, FoundFigure, Quote, Result } from "@/core";
import type { DealFile } from "@/exchange/deal-file";

/** What typing comes to: the deal with the figure in it, or one sentence for the place where it was typed. */
export type Reading = { ok: true; file: DealFile } | { ok: false; sentence: string };

/** What a field shows its figure from. */
export type FieldView = {
  inputs: DealFile;
  /** The same, read by the core's terms. */
  deal: Result<Deal>;
  /** The present answer, or the last that held. */
  quote: Quote | null;
};

/** What can be found on the screen itself; a deal file can ask for more. */
export type DeskFind = Extract<FoundFigure, "payment" | "price" | "down">;

/** A place on the deal screen where a figure is typed. */
export type Field = {
  label: string;
  /** A date is picked; a name is words; all else is a figure typed as text. */
  type?: "date" | "name";
  /** Set where the figure can be found on the screen instead of given. */
  finds?: DeskFind;
  /** What is being found where the field shows a found figure. */
  foundAs?: readonly FoundFigure[];
  /** Shown after the figure, as the percent sign is. */
  unit?: (inputs: DealFile) => string | undefined;
  /** The deal with what was typed, trimmed, in it; nothing typed takes the figure out. */
  read: (text: string, file: DealFile) => Reading;
  /** The figure as it stands in the field; reading it again changes nothing. */
  show: (view: FieldView) => string;
  /** The figure as it is set beside another version's. Left out where `show` says it, null where another field does. */
  say?: ((view: FieldView) => string) | null;
};

/** A reading of a text that cannot be read. */
export const bad = (sentence: string): Reading => ({ ok: false, sentence });

/** A reading of a text that was read. */
export const good = (file: DealFile): Reading => ({ ok: true, file });

/** An object with a member, or without it where its value is undefined. */
export function withOptional<Part extends object, Key extends keyof Part>(
  part: Part,
  key: Key,
  value: Part[Key] | undefined,
): Part {
  const { [key]: _, ...rest } = part;
  return (value === undefined ? rest : { ...rest, [key]: value }) as Part;
}
