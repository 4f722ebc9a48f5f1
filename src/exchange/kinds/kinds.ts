import { type Deal, type KindName, kindNameOf, type PlanKind, type Quote } from "@/core";
import type { FileKind } from "./kind/kind";
import { LEASE_FILES } from "./lease/kind";
import { LOAN_FILES } from "./loan/kind";

/** What of every kind of deal goes in and out: one entry for each kind of the core. */
export const FILE_KINDS = { loan: LOAN_FILES, lease: LEASE_FILES } satisfies Record<KindName, unknown>;

type Kinds = (typeof FILE_KINDS)[keyof typeof FILE_KINDS];
type FileIn<Of> = Of extends FileKind<infer File, infer _D, infer _Q, infer _A, infer _R> ? File : never;
type RecordIn<Of> =
  Of extends FileKind<infer _F, infer _D, infer _Q, infer _A, infer Record> ? Record : never;

/** What the officer typed of an option, of whatever kind. */
export type DealFile = FileIn<Kinds>;

/** What an option was signed with, of whatever kind. */
export type RecordOfQuote = RecordIn<Kinds>;

/** A kind as what does not care which one it is sees it. */
type AnyFileKind = FileKind<DealFile, Deal, Quote, object, RecordOfQuote>;

/** What goes in and out of the kind of a deal, or of what has the plan of one. */
export const fileKindOf = (of: { plan: { kind: PlanKind } }): AnyFileKind =>
  FILE_KINDS[kindNameOf(of)] as AnyFileKind;

/** What goes in and out of the kind of what was signed. */
export const recordKind = ({ kind }: RecordOfQuote): AnyFileKind => FILE_KINDS[kind] as AnyFileKind;
