import { FEWEST_IN_STREAM, isPlain } from "@/core";
import { type DealFile, isLease } from "@/exchange/deal-file";
import type { LoanFile } from "@/exchange/kinds/loan";
import type { TypedAt } from "@/exchange/typing";
import { provideFields } from "../fields";
import { provideDates } from "../fields/plan-dates";

/** What every loan needs, what only some loans need, and what leases need: none is there before a deal wants it. */
type Loan = typeof import("./loan-of-desk");
type Rest = typeof import("./rest-of-desk");
type Lease = typeof import("./lease-of-desk");

/** Where they are loaded from: each comes in one piece with what is drawn of it. */
type Loaders = {
  loan: () => Promise<Loan & { loadRest: () => Promise<Rest> }>;
  lease: () => Promise<Lease>;
};

let loaders: Loaders | undefined;
let loan: Loan | undefined;
let loadOthers: (() => Promise<Rest>) | undefined;
let rest: Rest | undefined;
let lease: Lease | undefined;

/** Says where what deals need is loaded from. */
export function provideLoaders(from: Loaders): void {
  loaders = from;
}

/** Takes what loans need, for what starts with it. */
export function provideLoans(ofAll: Loan, ofSome: Rest): void {
  takeLoan(ofAll);
  takeRest(ofSome);
}

/** Takes what leases need. */
export function provideLeases(loaded: Lease): void {
  lease = loaded;
  provideFields(loaded.leaseField);
}

function takeLoan(loaded: Loan): void {
  loan = loaded;
  provideFields(loaded.loanField);
}

function takeRest(loaded: Rest): void {
  rest = loaded;
  provideFields(loaded.rareLoanField);
  provideDates(loaded.planDates);
  for (const listener of listeners) listener();
}

const listeners = new Set<() => void>();

/** Does something once what only some loans need is there; the returned function leaves it. */
export function onRestLoaded(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Loads what every loan needs, where it is not there yet; rejects where the server is away, as the others do. */
async function loadLoan(): Promise<void> {
  if (loan || !loaders) return;
  const { loadRest: others, ...loaded } = await loaders.loan();
  loadOthers = others;
  takeLoan(loaded);
}

/** Loads what only some loans need, too. */
export async function loadRest(): Promise<void> {
  await loadLoan();
  if (!rest && loadOthers) takeRest(await loadOthers());
}

/** Loads what leases need. */
async function loadLease(): Promise<void> {
  if (!lease && loaders) provideLeases(await loaders.lease());
}

/** Loads everything, for turning one kind into the other. */
export async function loadBothKinds(): Promise<void> {
  await Promise.all([loadRest(), loadLease()]);
}

/** What every loan needs, once it is loaded. */
export function loadedLoan(): Loan {
  if (!loan) throw new Error("What loans need is not loaded.");
  return loan;
}

/** What only some loans need, once it is loaded. */
export function loadedRest(): Rest {
  if (!rest) throw new Error("The rest of what loans need is not loaded.");
  return rest;
}

/** What leases need, once it is loaded. */
export function loadedLease(): Lease {
  if (!lease) throw new Error("What leases need is not loaded.");
  return lease;
}

/** What was typed, as the fields read it; undefined before what understands it is loaded. */
export const understoodBy = (typed: string, at: TypedAt): string | undefined =>
  (rest ?? lease)?.understood(typed, at).plain;

/** Whether what is typed is understood as people type it. */
export const isUnderstanding = (): boolean => rest !== undefined || lease !== undefined;

export const isRestLoaded = (): boolean => rest !== undefined;
export const areBothKindsLoaded = (): boolean => rest !== undefined && lease !== undefined;

/** Whether everything is loaded that some deals need. */
export function hasWhatItNeeds(deals: readonly DealFile[]): boolean {
  return deals.every(inputs => {
    if (isLease(inputs)) return lease !== undefined;
    return rest !== undefined || (loan !== undefined && !needsRest(inputs));
  });
}

/** Loads what some deals need. */
export async function loadWhatIsNeeded(deals: readonly DealFile[]): Promise<void> {
  await Promise.all(
    deals.map(inputs => {
      if (isLease(inputs)) return loadLease();
      return needsRest(inputs) ? loadRest() : loadLoan();
    }),
  );
}

/** What every plan and every structure has. */
const PLAIN_PLAN = new Set(["yearlyRate", "payments", "rounding", "signed", "firstPayment", "payment"]);
const PLAIN_STRUCTURE = new Set(["price", "tradeIn", "down", "deposit", "purpose", "names"]);

/** Whether a plan has parts that a plain one does not have. */
export function hasRareParts(plan: LoanFile["plan"]): boolean {
  const {
    kind,
    frequency,
    compounding = "payments",
    dayCount = "equal",
    timing = "arrears",
    ...others
  } = plan;
  return (
    kind === "flatRate" ||
    frequency === "twiceAMonth" ||
    compounding !== "payments" ||
    dayCount !== "equal" ||
    timing !== "arrears" ||
    !Object.keys(others).every(name => PLAIN_PLAN.has(name))
  );
}

/** Whether a loan has, or looks for, what not every loan needs. */
function needsRest({ structure, plan, ...file }: LoanFile): boolean {
  return (
    !isPlain(file) ||
    plan.kind !== "loan" ||
    hasRareParts(plan) ||
    (plan.payments ?? FEWEST_IN_STREAM) < FEWEST_IN_STREAM ||
    !Object.keys(structure).every(name => PLAIN_STRUCTURE.has(name))
  );
}
