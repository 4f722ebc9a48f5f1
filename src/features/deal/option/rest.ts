import { type Answering, type Deal, isPlain, plainAnswer } from "@/core";
import { type DealFile, type DealInputs, isLeaseInputs } from "@/exchange/deal-file";
import { provideRareFields } from "../fields";

type Rest = typeof import("./rest-of-desk");

type Lease = typeof import("./lease-of-desk");

let rest: Rest | undefined;
let lease: Lease | undefined;

/** Takes what a plain deal does not need. */
export function provideRest(loaded: Rest): void {
  rest = loaded;
  provideRareFields(loaded.rareField);
}

/** Loads it, where it is not there yet; rejects where the server is away. */
export async function loadRest(): Promise<void> {
  if (!rest) provideRest(await import("./rest-of-desk"));
}

/** What a plain deal does not need, once it is loaded. */
export function loadedRest(): Rest {
  if (!rest) throw new Error("The rest of the desk is not loaded.");
  return rest;
}

export const isRestLoaded = (): boolean => rest !== undefined;

/** Loads what a loan does not need, too. */
export async function loadLease(): Promise<void> {
  const [, loaded] = await Promise.all([loadRest(), lease ?? import("./lease-of-desk")]);
  lease = loaded;
}

/** What a loan does not need, once it is loaded. */
export function loadedLease(): Lease {
  if (!lease) throw new Error("What leases need is not loaded.");
  return lease;
}

export const isLeaseLoaded = (): boolean => lease !== undefined;

/** What answers a deal. */
export const answeringOf = (deal: Deal): Answering => (isPlain(deal) ? plainAnswer : loadedRest().answer);

/** What every plan and every structure has. */
const PLAIN_PLAN = new Set(["yearlyRate", "payments", "rounding", "signed", "firstPayment", "payment"]);
const PLAIN_STRUCTURE = new Set(["price", "tradeIn", "down", "deposit", "purpose"]);

/** Whether a plan has parts that a plain one does not have. */
export function hasRareParts(plan: DealFile["plan"]): boolean {
  const { kind, frequency, compounding = "payments", dayCount = "equal", timing = "arrears", ...rest } = plan;
  return (
    kind === "flatRate" ||
    frequency === "twiceAMonth" ||
    compounding !== "payments" ||
    dayCount !== "equal" ||
    timing !== "arrears" ||
    !Object.keys(rest).every(name => PLAIN_PLAN.has(name))
  );
}

/** Whether everything is loaded that some deals need. */
export function hasWhatItNeeds(deals: readonly DealInputs[]): boolean {
  return deals.every(inputs =>
    isLeaseInputs(inputs) ? isLeaseLoaded() : isRestLoaded() || !needsRest(inputs),
  );
}

/** Loads what some deals need; rejects where the server is away. */
export function loadWhatIsNeeded(deals: readonly DealInputs[]): Promise<void> {
  return deals.some(isLeaseInputs) ? loadLease() : loadRest();
}

/** Whether a deal has, or looks for, what the screen does not start with. */
export function needsRest(inputs: DealInputs): boolean {
  if (isLeaseInputs(inputs)) return true;
  const { structure, plan, ...file } = inputs;
  return (
    !isPlain(file) || hasRareParts(plan) || !Object.keys(structure).every(name => PLAIN_STRUCTURE.has(name))
  );
}
