import { type KindName, kindNameOf } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import type { DeskKind, DeskKinds, LeaseKind, LoanKind } from "./desk-kind";

/** A kind as it is loaded: whole, or first what a plain deal needs. */
export type LoadedKind<Kind = LoanKind | LeaseKind> = { KIND: Kind; loadWhole?: () => Promise<Kind> };

/** Where each kind is loaded from, in one piece with what is drawn of it. */
type Loaders = { [Name in KindName]: () => Promise<LoadedKind> };

let loaders: Loaders | undefined;

/** Says where kinds are loaded from. */
export function provideLoaders(from: Loaders): void {
  loaders = from;
}

/** The kinds that have arrived on this page: each state takes what it needs of them, and none looks here. */
let arrived: DeskKinds = {};
const listeners = new Set<(kinds: DeskKinds) => void>();

function take(kind: LoanKind | LeaseKind): void {
  arrived = { ...arrived, [kind.name]: kind };
  for (const listener of listeners) listener(arrived);
}

/** Does something with every kind that arrives, in a fuller form than before; the returned function leaves it. */
export function onArrival(listener: (kinds: DeskKinds) => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

type IsEnough = (kind: LoanKind | LeaseKind) => boolean;

const isWhole: IsEnough = ({ rest }) => rest !== undefined;

/** Whether as much of a kind has arrived as a deal needs. */
const isEnoughFor =
  (file: DealFile): IsEnough =>
  kind =>
    isWhole(kind) || ((kind as DeskKind<string, DealFile, never, never>).isPlain?.(file) ?? false);

/** Loads a kind, and all of it where what a plain deal needs is not enough; each part arrives once. */
async function load(name: KindName, isEnough: IsEnough): Promise<void> {
  if (!loaders || isThere(name, isEnough)) return;
  const { KIND, loadWhole } = await loaders[name]();
  if (!arrived[name]) take(KIND);
  if (isEnough(arrived[name] ?? KIND) || !loadWhole) return;
  const whole = await loadWhole();
  if (!isThere(name, isWhole)) take(whole);
}

function isThere(name: KindName, isEnough: IsEnough): boolean {
  const kind = arrived[name];
  return kind !== undefined && isEnough(kind);
}

/** The kinds that some deals need, where they are there. */
export const kindsFor = (deals: readonly DealFile[]): DeskKinds | undefined =>
  deals.every(file => isThere(kindNameOf(file), isEnoughFor(file))) ? arrived : undefined;

/** Loads the kinds that some deals need; rejects where the server is away. */
export async function loadFor(deals: readonly DealFile[]): Promise<DeskKinds> {
  await Promise.all(deals.map(file => load(kindNameOf(file), isEnoughFor(file))));
  return arrived;
}

/** Some kinds, where they are there whole. */
export const wholeKinds = (names: readonly KindName[]): DeskKinds | undefined =>
  names.every(name => isThere(name, isWhole)) ? arrived : undefined;

/** Loads some kinds whole. */
export async function loadWhole(names: readonly KindName[]): Promise<DeskKinds> {
  await Promise.all(names.map(name => load(name, isWhole)));
  return arrived;
}
