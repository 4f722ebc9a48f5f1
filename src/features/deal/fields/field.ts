import type {
  Figure,
  FoundFigure,
  LeaseDeal,
  LeaseFoundFigure,
  LeaseQuote,
  LoanDeal,
  LoanQuote,
  Result,
} from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import type { LeaseFile } from "@/exchange/kinds/lease";
import type { LoanFile } from "@/exchange/kinds/loan";
import type { TypedKind } from "@/exchange/typing";

/** What typing comes to: the deal with the figure in it, or one sentence for the place where it was typed. */
export type Reading<File = DealFile> = { ok: true; file: File } | { ok: false; sentence: string };

/** What a field shows its figure from: what was typed, the same read by the core's terms, and the answer shown. */
type ViewOf<Kind, File, Read, Answer> = {
  kind: Kind;
  inputs: File;
  deal: Result<Read>;
  /** The present answer, or the last that held. */
  quote: Answer | null;
};
export type LoanView = ViewOf<"loan", LoanFile, LoanDeal, LoanQuote>;
export type LeaseView = ViewOf<"lease", LeaseFile, LeaseDeal, LeaseQuote>;
export type FieldView = LoanView | LeaseView;

/** What can be found of a loan. */
export type LoanFind = FoundFigure;
/** What can be found on the screen. */
export type DeskFind = LoanFind | LeaseFoundFigure;

/** A place on the deal screen where a figure is typed. */
type FieldOf<File, View> = {
  label: string;
  /** A date is picked; a name is words; all else is a figure typed as text. */
  type?: "date" | "name";
  /** What kind of figure it is, for what officers type of it; an amount where left out. */
  typed?: TypedKind | "asItIs";
  /** Set where the figure can be found on the screen instead of given. */
  finds?: DeskFind;
  /** What is being found where the field shows a found figure. */
  foundAs?: readonly (FoundFigure | LeaseFoundFigure)[];
  /** What a failure of the core calls its figure, where that is not its name. */
  figure?: (inputs: File) => Figure;
  /** Shown after the figure, as the percent sign is. */
  unit?: (inputs: File) => string | undefined;
  /** The deal with what was typed, trimmed, in it; nothing typed takes the figure out. */
  read: (text: string, file: File) => Reading<File>;
  /** The same figure said another way, beside it in the field. */
  beside?: (view: View) => string;
  /** The figure as it stands in the field; reading it again changes nothing. */
  show: (view: View) => string;
  /** The figure as it is set beside another version's. Left out where `show` says it, null where another field does. */
  say?: ((view: View) => string) | null;
};
export type Field = FieldOf<DealFile, FieldView>;
export type LoanField = FieldOf<LoanFile, LoanView>;
export type LeaseField = FieldOf<LeaseFile, LeaseView>;

/** A field that deals of one kind have, as one of any deal: it is looked up by a deal of its kind alone. */
export const ofItsKind = (field: LoanField | LeaseField): Field => field as unknown as Field;

/** A reading of a text that cannot be read. */
export const bad = (sentence: string): Reading<never> => ({ ok: false, sentence });

/** A reading of a text that was read. */
export const good = <File>(file: File): Reading<File> => ({ ok: true, file });
