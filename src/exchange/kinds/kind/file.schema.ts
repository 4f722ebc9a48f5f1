import Type from "typebox";
import { LOCALES } from "../../notation";
import { Currency, exact, OneOf, seen, unseen } from "../../schema";
import { LineName, StructureSchema } from "../../structure/structure.schema";

/** What every deal file has, whatever kind its deal is of. */
const COMMON = {
  format: seen(Type.Literal("kellux-deal", { description: '"kellux-deal"' })),
  version: seen(Type.Literal(1, { description: "1" })),
  currency: seen(Currency),
  locale: seen(Type.Optional(OneOf(...LOCALES))),
  /** Who lends, or leases. */
  lender: seen(Type.Optional(LineName)),
  structure: seen(StructureSchema),
};

/** What of a deal file is its kind's own: its plan, what it looks for and from what, and what is asked about it. */
type Members = {
  plan: Type.TSchema;
  find: Type.TSchema;
  from: Type.TSchema;
  ask: Type.TSchema;
};

/**
 * The deal file of a kind: the one source of its static type, its published JSON Schema and every check of it.
 *
 * @param members its kind's own
 * @param other another kind's: what the deal was before its kind was changed, for coming back to; its structure is the deal's
 */
export const fileSchema = <Own extends Members, Other extends Members>(members: Own, other: Other) =>
  exact({ ...COMMON, ...members, kept: unseen(Type.Optional(exact(other))) });

/**
 * What the officer typed of a deal of a kind, as it is filed, sent and kept. Figures that were not typed yet, and the one
 * being found, are left out.
 */
export type FileOf<Own extends Members> = Type.Static<Type.TObject<typeof COMMON & Own>> & {
  /** What it was before its kind was changed, as that kind has it. */
  kept?: { plan: object; find: string; from?: object; ask?: readonly object[] };
};
