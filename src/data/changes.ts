import type { Store } from "./store";

/** What was changed, as it is told to every process and to the pages that show it. */
export type Change =
  /** A deal, and its version since; null where that is not known here. */
  | { of: "deal"; id: string; version: number | null }
  /** The list of deals; and what a customer or a vehicle is called, which any deal may say. */
  | { of: "deals" | "names" }
  | { of: "stock" | "rates" | "settings" }
  /** Who works here, or who is signed in. */
  | { of: "people" }
  /** There is something to be done that outlasts who has asked for it. */
  | { of: "jobs" }
  /** All of it may be other than before. */
  | { of: "everything" };

type Told = {
  [Name in keyof Store]?: (
    args: Parameters<Store[Name]>,
    answer: Awaited<ReturnType<Store[Name]>>,
  ) => Change[];
};

const deal = (id: string, version: number | null = null): Change => ({ of: "deal", id, version });

/** The version that a save has come to, where its answer tells. */
const versionIn = (answer: unknown): number | null =>
  typeof answer === "object" && answer !== null && "version" in answer ? Number(answer.version) : null;

const always =
  (...changes: Change[]) =>
  () =>
    changes;
const where = (of: Change, hasChanged: (answer: unknown) => boolean) => (_: unknown, answer: unknown) =>
  hasChanged(answer) ? [of] : [];

/** What each piece of work changes that pages show. What follows from the deals is made again, and told by that. */
const TOLD: Told = {
  updateDeal: ([id], answer) =>
    typeof answer === "object" ? [deal(id, versionIn(answer)), { of: "deals" }] : [],
  updateDealer: ([id], answer) => (answer ? [deal(id, versionIn(answer))] : []),
  setDeleted: ([id], answer) => (answer === true ? [deal(id), { of: "deals" }] : []),
  keepLateSigning: ([id]) => [deal(id)],
  insertDeals: always({ of: "deals" }),
  keepFigures: always({ of: "deals" }),
  showArrived: where({ of: "deals" }, Boolean),
  correctName: always({ of: "names" }, { of: "deals" }, { of: "stock" }),
  eraseCustomer: where({ of: "everything" }, Boolean),
  removeOldDeals: where({ of: "deals" }, Boolean),
  makeOne: always({ of: "names" }, { of: "deals" }, { of: "stock" }),
  completeArrival: where({ of: "jobs" }, Boolean),
  stockArrives: always({ of: "jobs" }),
  putInStock: (_, answer) => (answer > 0 ? [{ of: "stock" }, { of: "names" }, { of: "deals" }] : []),
  changeVehicle: always({ of: "stock" }, { of: "names" }, { of: "deals" }),
  takeOutOfStock: always({ of: "stock" }),
  keepDealPeople: ([id], answer) => (typeof answer === "object" ? [deal(id), { of: "deals" }] : []),
  keepRelease: ([id]) => [deal(id)],
  addPerson: always({ of: "people" }),
  changePerson: always({ of: "people" }),
  makeFirst: always({ of: "people" }),
  takeLink: always({ of: "people" }),
  changePassword: always({ of: "people" }),
  confirmCodes: always({ of: "people" }),
  endCodes: always({ of: "people" }),
  signOut: always({ of: "people" }),
  signOutEverywhere: always({ of: "people" }),
  lockScreen: always({ of: "people" }),
  unlockScreen: always({ of: "people" }),
  changeRates: where({ of: "rates" }, Boolean),
  keepSettings: where({ of: "settings" }, Boolean),
  keepSettingsDealer: where({ of: "settings" }, Boolean),
};

/**
 * What a piece of work has changed.
 *
 * @param answer what it has answered
 * @example changesBy("changeRates", ["none", { put: [], gone: [] }], "a1b2") // [{ of: "rates" }]
 */
export function changesBy(name: keyof Store, args: unknown[], answer: unknown): Change[] {
  const told = TOLD[name] as ((args: unknown[], answer: unknown) => Change[]) | undefined;
  return told?.(args, answer) ?? [];
}
