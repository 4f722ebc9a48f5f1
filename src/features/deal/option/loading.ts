import { FEWEST_IN_STREAM, isPlain, kindNameOf } from "@/core";
import type { DealFile } from "@/exchange/deal-file";
import type { LoanFile } from "@/exchange/kinds/loan";
import type { DeskKinds, LeaseKind, LoanKind } from "./desk-kind";
import { hasRareParts } from "./rare-parts";

/** Where the kinds are loaded from, each in one piece with what is drawn of it: of loans first what a plain one needs. */
type Loaders = {
  loan: () => Promise<{ PLAIN_LOAN: LoanKind; loadWholeLoan: () => Promise<LoanKind> }>;
  lease: () => Promise<{ LEASE: LeaseKind }>;
};

let loaders: Loaders | undefined;

/** Says where kinds are loaded from. */
export function provideLoaders(from: Loaders): void {
  loaders = from;
}

/** The kinds that have arrived on this page: each state takes what it needs of them, and none looks here. */
let arrived: DeskKinds = {};
const listeners = new Set<(kinds: DeskKinds) => void>();

function take(kinds: DeskKinds): void {
  arrived = { ...arrived, ...kinds };
  for (const listener of listeners) listener(arrived);
}

/** Does something with every kind that arrives, in a fuller form than before; the returned function leaves it. */
export function onArrival(listener: (kinds: DeskKinds) => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

async function loadLoan(isWhole: boolean): Promise<void> {
  if (!loaders || arrived.loan?.rest) return;
  const { PLAIN_LOAN: plain, loadWholeLoan: load } = await loaders.loan();
  if (!arrived.loan) take({ loan: plain });
  if (!isWhole) return;
  const whole = await load();
  // It arrives once, however often it was asked for.
  if (!arrived.loan?.rest) take({ loan: whole });
}

async function loadLease(): Promise<void> {
  if (arrived.lease || !loaders) return;
  const { LEASE: lease } = await loaders.lease();
  if (!arrived.lease) take({ lease });
}

/** The kinds that some deals need, where they are there. */
export function kindsFor(deals: readonly DealFile[]): DeskKinds | undefined {
  const { loan, lease } = arrived;
  const isThere = deals.every(file =>
    isLoan(file) ? loan !== undefined && (loan.rest !== undefined || !needsWhole(file)) : lease !== undefined,
  );
  return isThere ? arrived : undefined;
}

/** Loads the kinds that some deals need; rejects where the server is away. */
export async function loadFor(deals: readonly DealFile[]): Promise<DeskKinds> {
  await Promise.all(deals.map(file => (isLoan(file) ? loadLoan(needsWhole(file)) : loadLease())));
  return arrived;
}

/** Loads loans whole. */
export async function loadWholeLoan(): Promise<DeskKinds> {
  await loadLoan(true);
  return arrived;
}

/** Loads every kind, for turning one into another. */
export async function loadAll(): Promise<DeskKinds> {
  await Promise.all([loadLoan(true), loadLease()]);
  return arrived;
}

/** Loans, where they are there whole; every kind, where all are. */
export const wholeLoanThere = (): DeskKinds | undefined => (arrived.loan?.rest ? arrived : undefined);
export const allThere = (): DeskKinds | undefined => (arrived.lease ? wholeLoanThere() : undefined);

const isLoan = (file: DealFile): file is LoanFile => kindNameOf(file) === "loan";

/** What every structure has. */
const PLAIN_STRUCTURE = new Set(["price", "tradeIn", "down", "deposit", "purpose", "names"]);

/** Whether a loan has, or looks for, what not every loan needs. */
function needsWhole({ structure, plan, ...file }: LoanFile): boolean {
  return (
    !isPlain(file) ||
    plan.kind !== "loan" ||
    hasRareParts(plan) ||
    (plan.payments ?? FEWEST_IN_STREAM) < FEWEST_IN_STREAM ||
    !Object.keys(structure).every(name => PLAIN_STRUCTURE.has(name))
  );
}
