import type { Kind, MappedIn } from "./kind";
import { LEASE } from "./lease";
import type { LEASE_FIGURES } from "./lease/figures";
import { LOAN } from "./loan";
import type { LOAN_FIGURES } from "./loan/figures";
import { type KindName, kindNameOf, type PlanKind } from "./plans";

/** Every kind of deal: the one list of them. */
export const KINDS = { loan: LOAN, lease: LEASE } satisfies Record<KindName, { name: string }>;

type Kinds = (typeof KINDS)[keyof typeof KINDS];
type DealIn<Of> = Of extends Kind<infer Deal, infer _Q, infer _S, infer _A> ? Deal : never;
type QuoteIn<Of, Asked> =
  Of extends Kind<infer Deal, infer Quote, infer _S, infer _A> ? (Asked extends Deal ? Quote : never) : never;
type SummaryIn<Of, Asked> =
  Of extends Kind<infer Deal, infer _Q, infer Summary, infer _A>
    ? Asked extends Deal
      ? Summary
      : never
    : never;

/** A deal of any kind; each is told by the kind of its plan. */
export type Deal = DealIn<Kinds>;

/** The answer to a deal of some kind, with its table; of any where none is said. */
export type QuoteOf<Of extends Deal> = QuoteIn<Kinds, Of>;
export type Quote = QuoteOf<Deal>;

/** The same without its table. */
export type SummaryOf<Of extends Deal> = SummaryIn<Kinds, Of>;

/** A figure that the map of some kind can show. */
export type MapFigure = MappedIn<typeof LOAN_FIGURES> | MappedIn<typeof LEASE_FIGURES>;

/** A kind as what does not care which one it is sees it. */
type AnyKind = Kind<Deal, Quote, SummaryOf<Deal>, { deal: Deal }>;

/**
 * The kind of a deal, or of what has the plan of one.
 *
 * @example kindOf(vanLease).name // "lease"
 */
export const kindOf = (of: { plan: { kind: PlanKind } }): AnyKind => KINDS[kindNameOf(of)] as AnyKind;
